package app.jubek.server.absence;

/** What a substitute is told. */
enum Note {
    ASK,
    /** Fewer days or less mail than the substitute agreed to. */
    CHANGED,
    /** Whoever was away is back before the last day. */
    BACK,
    /** Nobody has to stand in any more. */
    CALLED_OFF
}
