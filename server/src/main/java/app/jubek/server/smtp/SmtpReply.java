package app.jubek.server.smtp;

import app.jubek.core.plan.Advice;
import app.jubek.core.plan.Failure;
import app.jubek.core.plan.Trouble;
import java.util.List;
import java.util.Optional;

/** An answer of the server (RFC 5321 §4.2), and what it means. */
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
        boolean forAPerson = kind == SmtpFault.Kind.PERMANENT || wrongPassword;
        throw new SmtpFault(
                kind,
                new Trouble(failure(to).with(text()), Optional.of(advice(to)).filter(a -> forAPerson)));
    }

    private Failure failure(To to) {
        return switch (to) {
            case GREETING -> Failure.SMTP_NOT_NOW;
            case PASSWORD -> Failure.SIGN_IN_REFUSED;
            case SENDER -> Failure.SENDER_REFUSED;
            case RECIPIENT -> Failure.RECIPIENT_REFUSED;
            case CONTENT -> isTooLarge() ? Failure.CONTENT_TOO_LARGE : Failure.CONTENT_REFUSED;
        };
    }

    private Advice advice(To to) {
        return switch (to) {
            case GREETING -> Advice.ASK_MAIL_ADMINISTRATOR;
            case PASSWORD -> Advice.CORRECT_SIGN_IN;
            case SENDER -> Advice.LET_ADDRESS_SEND;
            case RECIPIENT -> Advice.CHECK_ADDRESS;
            case CONTENT -> isTooLarge() ? Advice.SEND_A_LINK : Advice.READ_AND_DECIDE;
        };
    }

    private boolean isTooLarge() {
        return code == 552 || lines.stream().anyMatch(line -> line.startsWith("5.3.4"));
    }
}
