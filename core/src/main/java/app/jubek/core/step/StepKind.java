package app.jubek.core.step;

/** What kind of thing a step does. */
public enum StepKind {
    FORWARD,
    REDIRECT,
    REPLY,
    FILE,
    MARK;

    /** Whether it makes a message leave by SMTP. */
    public boolean leaves() {
        return handsOn() || this == REPLY;
    }

    public boolean handsOn() {
        return this == FORWARD || this == REDIRECT;
    }

    /** Whether doing it twice for one person would do harm. */
    public boolean atMostOnce() {
        return this == REPLY;
    }
}
