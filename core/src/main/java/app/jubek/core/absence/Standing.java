package app.jubek.core.absence;

/** What the substitute has said. */
public enum Standing {
    NOT_ASKED,
    ASKED,
    AGREED,
    DECLINED
}
