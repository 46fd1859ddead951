package app.jubek.core.catchup;

import app.jubek.core.wording.Code;

/** Why a catch-up does not go on by itself, or waits. */
public enum CatchUpNote implements Code {
    /** A rule of it was changed, paused or removed meanwhile. */
    RULES_CHANGED,
    /** As much has left within the hour as it may use of the limits. */
    WAITS_FOR_LIMITS,
    /** What is wrong with reading its folders. */
    FOLDERS_NOT_READ
}
