package app.jubek.core.trial;

import app.jubek.core.wording.Code;

/** What a message is like that shows one thing of a rule. */
enum CasePhrase implements Code {
    PICKED,
    /** Each of the next three has a criterion. */
    ALONE,
    KEPT_OUT,
    EXCEPTION,
    /** All of it but for one criterion. */
    NEARLY,
    OTHER,
    /** Each of the next four has a day. */
    FIRST_DAY,
    DAY_BEFORE,
    LAST_DAY,
    DAY_AFTER,
    /** At an hour at which it rests. */
    RESTING,
    AUTOMATIC;

    @Override
    public String id() {
        return "CASE_" + name();
    }
}
