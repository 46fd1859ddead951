package app.jubek.server.delivery;

/** The server takes no mail from the null path, though RFC 5321 §4.5.5 asks it to. */
final class NullSenderRefused extends SmtpFault {
    private static final long serialVersionUID = 1L;

    NullSenderRefused(String message) {
        super(Kind.PERMANENT, message, "");
    }
}
