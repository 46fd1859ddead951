package app.jubek.server.delivery;

/** Mail that was not handed over. */
class SmtpFault extends Exception {
    private static final long serialVersionUID = 1L;

    private final Kind kind;

    /** What may be concluded. */
    enum Kind {
        /** Certainly not taken; later it may be. */
        TEMPORARY,
        /** Certainly not taken, and it never will be. */
        PERMANENT,
        /** The connection broke after the final dot: nobody can know. */
        UNKNOWN
    }

    SmtpFault(Kind kind, String message) {
        super(message);
        this.kind = kind;
    }

    Kind kind() {
        return kind;
    }
}
