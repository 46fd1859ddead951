package app.jubek.core.absence;

/** What the substitute has said. */
public enum Standing {
    NOT_ASKED,
    ASKED,
    /** The mail server refused to take the note. */
    UNREACHED,
    AGREED,
    DECLINED
}
