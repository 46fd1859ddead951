package app.jubek.core.drift;

import app.jubek.core.wording.Code;

/** What is said of a drift. */
enum DriftText implements Code {
    /** The first day, so many messages, what is to be picked out as well. */
    LIKE_ITS_OTHERS,
    /** The first day, so many messages, what is to be left out. */
    UNLIKE_ITS_OTHERS,
    /** So many of these, so many others. */
    WOULD_PICK,
    /** So many of these, so many others. */
    WOULD_LEAVE_OUT
}
