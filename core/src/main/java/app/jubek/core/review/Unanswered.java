package app.jubek.core.review;

import app.jubek.core.rule.RuleId;

/**
 * How often a rule filed a message away without giving it the rule's answer.
 *
 * @param messages how many
 * @param of messages that it was to answer
 */
public record Unanswered(RuleId rule, int messages, int of) {
    private static final int SEVERAL = 3;
    private static final int ONE_IN = 5;

    /** Several, and one in five or more. */
    boolean isFrequent() {
        return messages >= SEVERAL && messages * ONE_IN >= of;
    }
}
