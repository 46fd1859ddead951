package app.jubek.server.absence;

/** What a substitute is told. */
enum Note {
    ASK,
    /** Fewer days or less mail than the substitute agreed to. */
    CHANGED,
    /** Nobody has to stand in any more. */
    CALLED_OFF
}
