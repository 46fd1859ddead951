package app.jubek.core.suggest;

import app.jubek.core.criteria.AddressCriterion;
import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.Group;
import app.jubek.core.criteria.SimpleCriterion;
import app.jubek.core.criteria.TextCriterion;
import app.jubek.core.matching.Comparison;
import app.jubek.core.matching.MatchType;
import app.jubek.core.matching.Value;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/** Criteria with one value more in one place. */
final class OneValueMore {
    private OneValueMore() {}

    /** Whether a value more makes the whole take more: all values of a test are looked for in one way. */
    static boolean isPossible(Criterion whole, SimpleCriterion to) {
        boolean takesOne = to instanceof AddressCriterion
                || to instanceof TextCriterion words
                        && words.how() == MatchType.CONTAINS
                        && words.comparison() == Comparison.FOLDED;
        return takesOne && !to.negated() && !isDenied(whole, to);
    }

    private static boolean isDenied(Criterion whole, SimpleCriterion test) {
        return whole instanceof Group group
                && (group.how() == Group.Quantifier.NONE && group.tests().contains(test)
                        || group.criteria().stream().anyMatch(inner -> isDenied(inner, test)));
    }

    /**
     * @param to the one inside that gets it; it looks for addresses or words
     */
    static Criterion in(Criterion whole, SimpleCriterion to, String value) {
        return whole.replacing(to, with(to, value));
    }

    private static SimpleCriterion with(SimpleCriterion test, String value) {
        if (test instanceof AddressCriterion address) {
            List<String> values = new ArrayList<>(address.values());
            values.add(value);
            return new AddressCriterion(address.part(), address.how(), values, false);
        }
        TextCriterion words = (TextCriterion) test;
        List<Value> values = Stream.concat(words.values().stream(), Stream.of(Value.phrase(value)))
                .toList();
        return new TextCriterion(words.part(), values, false);
    }
}
