package app.jubek.core.suggest;

import app.jubek.core.criteria.AddressCriterion;
import app.jubek.core.criteria.MessagePart;
import app.jubek.core.criteria.SimpleCriterion;
import app.jubek.core.criteria.TextCriterion;
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

    boolean isText() {
        return this == SUBJECT || this == TEXT;
    }

    SimpleCriterion test(List<String> values) {
        return switch (this) {
            case RECIPIENT ->
                new AddressCriterion(
                        AddressCriterion.AddressField.RECIPIENT, AddressCriterion.AddressMatch.IS, values, false);
            case SENDER ->
                new AddressCriterion(
                        AddressCriterion.AddressField.SENDER, AddressCriterion.AddressMatch.IS, values, false);
            case SENDER_DOMAIN ->
                new AddressCriterion(
                        AddressCriterion.AddressField.SENDER,
                        AddressCriterion.AddressMatch.AT_DOMAIN_OR_BELOW,
                        values,
                        false);
            case SUBJECT -> TextCriterion.phrases(MessagePart.Kind.SUBJECT, values);
            case TEXT -> TextCriterion.phrases(MessagePart.Kind.TEXT, values);
        };
    }
}
