package app.jubek.core.decide;

/** What one rule made of one message, in short. */
public enum Verdict {
    PICKED,
    SPARED,
    NOT_MATCHED,
    OFF,
    RESTING,
    NOT_YET_ON,
    /** Judging it failed; the others go on, and the message stays in the inbox. */
    BROKEN
}
