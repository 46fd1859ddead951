package app.jubek.core.plan;

import app.jubek.core.wording.Code;

/** What is done beside the steps that a rule names, as a participle. */
public enum PlannedPhrase implements Code {
    /** The address that gets the copy. */
    COPY_OF_REPLY_TO,
    BROUGHT_BACK,
    /** What is undone, as a participle. */
    UNDONE_STEP
}
