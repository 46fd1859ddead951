package app.jubek.core.review;

import app.jubek.core.wording.Code;

/** What one click does about a finding. */
enum RemedyText implements Code {
    PAUSE_IT,
    /** The day. */
    BEGIN_ON,
    /** The other rule, the day. */
    END_ON,
    /** The other rule. */
    MOVE_IT_ABOVE,
    STOP_AT,
    MOVE_WHAT_WAS_ANSWERED,
    ONLY_REDIRECT,
    /** Addresses. */
    REMOVE_ADDRESSES,
    REMOVE_EXCEPTIONS,
    LET_ANY_DO,
    /** How many. */
    REMOVE_VALUES,
    REMOVE_THIS_RULE,
    /** A phrase. */
    ONLY_WHOLE_WORD,
    LEAVE_OUT,
    /** Addresses. */
    LEAVE_OUT_THEIR_MAIL
}
