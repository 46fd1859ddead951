package app.jubek.core.drift;

import app.jubek.core.criteria.AddressCriterion;
import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.SimpleCriterion;
import app.jubek.core.criteria.TextCriterion;
import app.jubek.core.rule.Rule;
import app.jubek.core.wording.Statement;
import java.time.LocalDate;
import java.util.BitSet;
import java.util.stream.Collectors;

/**
 * A change in the mail of a rule.
 *
 * @param rule as it is
 * @param changed with the criterion that answers the change
 * @param added that criterion: what to pick out as well, or what to leave out
 * @param shown the late messages that show it
 * @param others further messages of the window that the changed rule would handle in another way
 */
public record Drift(Sort sort, Rule rule, Rule changed, Criterion added, BitSet shown, BitSet others) {

    /** Which way the mail changed. */
    public enum Sort {
        /** Mail like that of the rule is no longer picked. */
        NO_LONGER_PICKED,
        /** The rule picks mail unlike the rest. */
        UNLIKE_THE_REST
    }

    /** The same for the same change, so that what was dismissed once can be known again. */
    public String key() {
        return sort.name()
                + added.tests().stream()
                        .map(test -> " " + field(test) + "=" + String.join(",", test.written()))
                        .sorted()
                        .collect(Collectors.joining());
    }

    private static String field(SimpleCriterion test) {
        if (test instanceof AddressCriterion address) {
            return address.part().id();
        }
        return test instanceof TextCriterion text ? text.part().kind().name() : "";
    }

    /**
     * What changed, and how many messages show it.
     *
     * @param since the first day of the late messages
     */
    public Statement cause(LocalDate since) {
        DriftText text = sort == Sort.NO_LONGER_PICKED ? DriftText.LIKE_ITS_OTHERS : DriftText.UNLIKE_ITS_OTHERS;
        return text.with(since, shown.cardinality(), added.statement());
    }

    /** What the changed rule would do. */
    public Statement effect() {
        DriftText text = sort == Sort.NO_LONGER_PICKED ? DriftText.WOULD_PICK : DriftText.WOULD_LEAVE_OUT;
        return text.with(shown.cardinality(), others.cardinality());
    }
}
