package app.jubek.core.message;

/** The address fields of a message, by their RFC 5322 names. */
public enum Role {
    FROM("From"),
    SENDER("Sender"),
    REPLY_TO("Reply-To"),
    TO("To"),
    CC("Cc"),
    BCC("Bcc"),
    RESENT_TO("Resent-To"),
    RESENT_CC("Resent-Cc"),
    RESENT_BCC("Resent-Bcc");

    private final String field;

    Role(String field) {
        this.field = field;
    }

    public String field() {
        return field;
    }
}
