package app.jubek.core.decide;

import app.jubek.core.wording.Code;

/** The lines of a decision that is told as a whole. */
enum DecisionLine implements Code {
    /** A note on the message. */
    NOTE,
    /** A rule's name and its outcome. */
    RULE_LINE,
    /** A step and the rule; then others that asked for it, too. */
    TO_BE_DONE,
    TO_BE_DONE_FOR_SEVERAL,
    /** A step, the rule and the reason. */
    HELD,
    WITHHELD,
    STAYS_IN_INBOX,
    LEAVES_INBOX;

    @Override
    public String id() {
        return "DECISION_" + name();
    }
}
