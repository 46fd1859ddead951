package app.jubek.core.trial;

import app.jubek.core.wording.Code;

/** What must happen to a message, and what would. */
enum TrialPhrase implements Code {
    /** Each of the next two has the rule's name. */
    PICKED_BY,
    NOT_PICKED_BY,
    PICKED_BY_NONE,
    /** Each of the next two has an address. */
    HANDED_ON_TO,
    NOT_HANDED_ON_TO,
    /** Each of the next two has a folder. */
    FILED_IN,
    NOT_FILED_IN,
    REPLIED_TO,
    NO_REPLY,
    /** Each of the next two has the template's name. */
    REPLIED_WITH,
    NOT_REPLIED_WITH,
    STAYS_IN_INBOX,
    LEAVES_INBOX,
    /** A rule's name and its outcome. */
    RULE_SAYS,
    /** A step and the reason. */
    NOT_DONE;

    @Override
    public String id() {
        return "TRIAL_" + name();
    }
}
