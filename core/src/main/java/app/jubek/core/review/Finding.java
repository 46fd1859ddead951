package app.jubek.core.review;

import app.jubek.core.rule.RuleBook;
import app.jubek.core.rule.RuleId;
import app.jubek.core.wording.Statement;
import java.util.Optional;

/**
 * Something amiss with a rule.
 *
 * @param cause a sentence
 * @param example a message of the window that shows it, by its place
 */
public record Finding(Sort sort, RuleId rule, Statement cause, Optional<Integer> example, Optional<Remedy> remedy) {

    /** What is amiss, the worst first. */
    public enum Sort {
        LOOP_WITHOUT_END,
        BACK_TO_OWN_MAILBOX,
        CAN_NEVER_MATCH,
        NEVER_ACTIVE,
        NEVER_REACHED,
        SAME_AS_ANOTHER,
        GAP_BETWEEN,
        BOTH_ACTIVE,
        TWO_REPLIES,
        GOES_ROUND,
        UNANSWERED_AND_MOVED,
        NAMES_A_DAY_THAT_PASSES,
        FORWARD_AND_REDIRECT,
        TOO_BROAD,
        PART_OF_LONGER_WORDS,
        NEGATED,
        COVERED_VALUES,
        NEVER_MATCHED
    }

    /**
     * What one click does.
     *
     * @param what it does, as a button says it
     * @param book the book with it done
     */
    public record Remedy(Statement what, RuleBook book) {}
}
