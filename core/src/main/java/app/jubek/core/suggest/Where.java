package app.jubek.core.suggest;

import app.jubek.core.criteria.AddressTest;
import app.jubek.core.criteria.Part;
import app.jubek.core.criteria.Test;
import app.jubek.core.criteria.TextTest;
import java.util.List;

/** The parts of a message by which people tell messages apart, the plainest first. */
enum Where {
    RECIPIENT(1.0),
    SENDER_DOMAIN(1.0),
    SUBJECT(1.05),
    SENDER(1.2),
    TEXT(1.7);

    private final double effort;

    Where(double effort) {
        this.effort = effort;
    }

    /** How much a criterion of it asks of a reader. */
    double effort() {
        return effort;
    }

    Test test(List<String> values) {
        return switch (this) {
            case RECIPIENT -> new AddressTest(AddressTest.Part.RECIPIENT, AddressTest.How.IS, values, false);
            case SENDER -> new AddressTest(AddressTest.Part.SENDER, AddressTest.How.IS, values, false);
            case SENDER_DOMAIN ->
                new AddressTest(AddressTest.Part.SENDER, AddressTest.How.AT_DOMAIN_OR_BELOW, values, false);
            case SUBJECT -> TextTest.phrases(Part.Kind.SUBJECT, values);
            case TEXT -> TextTest.phrases(Part.Kind.TEXT, values);
        };
    }
}
