package app.jubek.server.mailbox;

/** What the watcher of a mailbox is doing. */
public enum Watching {
    STARTING,
    WATCHING,
    SIGN_IN_REFUSED,
    UNREACHABLE,
    DATABASE_AWAY,
    /** Something inside Jubek failed; it is begun again. */
    FAILED,
    /** No running Jubek watches it. */
    NOT_WATCHED
}
