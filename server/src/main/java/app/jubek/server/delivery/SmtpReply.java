package app.jubek.server.delivery;

import java.util.List;

/** An answer of the server (RFC 5321 §4.2), and what it means to a person. */
record SmtpReply(int code, List<String> lines) {
    /** What was being said when the answer came. */
    enum To {
        GREETING,
        PASSWORD,
        SENDER,
        RECIPIENT,
        CONTENT
    }

    String text() {
        return code + " " + String.join(" ", lines);
    }

    /**
     * @throws SmtpFault when the answer is of another class than expected
     */
    void expect(int hundreds, To to) throws SmtpFault {
        if (code / 100 == hundreds) {
            return;
        }
        boolean wrongPassword = to == To.PASSWORD;
        SmtpFault.Kind kind = code / 100 == 5 && !wrongPassword ? SmtpFault.Kind.PERMANENT : SmtpFault.Kind.TEMPORARY;
        throw new SmtpFault(kind, words(to), kind == SmtpFault.Kind.PERMANENT || wrongPassword ? advice(to) : "");
    }

    private String words(To to) {
        return switch (to) {
            case GREETING -> "the mail server does not begin a conversation just now: " + text();
            case PASSWORD -> "the mail server refuses the name or the password for sending: " + text();
            case SENDER -> "the mail server does not let this mailbox's address send: " + text();
            case RECIPIENT -> "the address was refused: " + text();
            case CONTENT ->
                (isTooLarge() ? "the message is too large for the next mail server: " : "the message was refused: ")
                        + text();
        };
    }

    private String advice(To to) {
        return switch (to) {
            case GREETING -> "Ask whoever runs the mail server.";
            case PASSWORD -> "Correct the name and password in the settings.";
            case SENDER -> "Ask whoever runs the mail server to let this address send, then try again.";
            case RECIPIENT -> "Check the address in the rule; then try again, or drop it.";
            case CONTENT ->
                isTooLarge()
                        ? "Hand it on in another way, for instance by a link to its attachments."
                        : "Read the server's words; try again, or drop it.";
        };
    }

    private boolean isTooLarge() {
        return code == 552 || lines.stream().anyMatch(line -> line.startsWith("5.3.4"));
    }
}
