package app.jubek.core.step;

/** What kind of thing a step does. */
public enum StepKind {
    FORWARD,
    REDIRECT,
    REPLY,
    NOTIFY,
    OUT_OF_JUNK,
    MARK,
    COPY,
    FILE,
    ARCHIVE,
    TRASH,
    DELETE,
    KEEP,
    FOLLOW_UP;

    /** Whether it makes a message leave by SMTP. */
    public boolean leaves() {
        return handsOn() || this == REPLY;
    }

    public boolean handsOn() {
        return this == FORWARD || this == REDIRECT;
    }

    /** Whether it takes the message out of the inbox. */
    public boolean removes() {
        return this == FILE || this == ARCHIVE || this == TRASH || this == DELETE;
    }

    /** Whether doing it twice for one person would do harm. */
    public boolean atMostOnce() {
        return this == REPLY;
    }
}
