package app.jubek.core.explain;

import app.jubek.core.criteria.AddressCriterion;
import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.SimpleCriterion;
import app.jubek.core.criteria.TextCriterion;
import app.jubek.core.view.MessageView;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** Which of the phrases and addresses that criteria list a message has. */
public final class Hits {
    private Hits() {}

    /** As they are written, each once, in the order in which they are listed. */
    public static List<String> of(Criterion criterion, MessageView message) {
        return criterion.tests().stream()
                .filter(test -> !test.negated())
                .flatMap(test -> in(test, message))
                .distinct()
                .toList();
    }

    /** Of one criterion, looked for as far as they are asked for; none of one that lists no phrases or addresses. */
    public static Stream<String> in(SimpleCriterion test, MessageView message) {
        return IntStream.range(0, isList(test) ? test.terms().size() : 0)
                .filter(i -> test.terms().get(i).hits(message))
                .mapToObj(test.written()::get);
    }

    private static boolean isList(SimpleCriterion test) {
        return test instanceof AddressCriterion || test instanceof TextCriterion;
    }
}
