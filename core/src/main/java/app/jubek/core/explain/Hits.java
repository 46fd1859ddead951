package app.jubek.core.explain;

import app.jubek.core.criteria.AddressCriterion;
import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.SimpleCriterion;
import app.jubek.core.criteria.TextCriterion;
import app.jubek.core.view.MessageView;
import java.util.List;
import java.util.stream.IntStream;

/** Which of the phrases and addresses that criteria list a message has. */
public final class Hits {
    private Hits() {}

    /** As they are written, each once, in the order in which they are listed. */
    public static List<String> of(Criterion criterion, MessageView message) {
        return criterion.tests().stream()
                .filter(test -> !test.negated() && isList(test))
                .flatMap(test -> IntStream.range(0, test.terms().size())
                        .filter(i -> test.terms().get(i).hits(message))
                        .mapToObj(test.written()::get))
                .distinct()
                .toList();
    }

    private static boolean isList(SimpleCriterion test) {
        return test instanceof AddressCriterion || test instanceof TextCriterion;
    }
}
