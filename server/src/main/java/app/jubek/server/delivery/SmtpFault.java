package app.jubek.server.delivery;

/** Mail that was not handed over. */
class SmtpFault extends Exception {
    private static final long serialVersionUID = 1L;

    private final Kind kind;
    private final String advice;

    /** What may be concluded. */
    enum Kind {
        /** Certainly not taken; later it may be. */
        TEMPORARY,
        /** Certainly not taken, and it never will be. */
        PERMANENT,
        /** Certainly not taken as it is; a forward, which is written anew, may be. */
        NOT_AS_IT_IS,
        /** The connection broke after the final dot: nobody can know. */
        UNKNOWN
    }

    /**
     * @param advice what a person can do about it; may be empty
     */
    SmtpFault(Kind kind, String message, String advice) {
        super(message);
        this.kind = kind;
        this.advice = advice;
    }

    Kind kind() {
        return kind;
    }

    String advice() {
        return advice;
    }
}
