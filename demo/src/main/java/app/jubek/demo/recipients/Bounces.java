package app.jubek.demo.recipients;

import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Optional;

/**
 * What comes back from addresses that the post office doesn't know, as a report (RFC 3464): those whose local part begins with
 * "gone." take nothing, those with "late." take it later.
 */
public final class Bounces {
    private static final String GONE = "gone.";
    private static final String LATE = "late.";
    private static final int SHOWN = 8_000;

    private Bounces() {}

    public static boolean takesNothing(String recipient) {
        return recipient.toLowerCase(Locale.ROOT).startsWith(GONE);
    }

    /** The report to the envelope's sender; nobody tells the null path (RFC 5321 §6.1). */
    public static Optional<byte[]> of(String sender, String recipient, byte[] message) {
        boolean gone = takesNothing(recipient);
        boolean late = recipient.toLowerCase(Locale.ROOT).startsWith(LATE);
        return sender.isEmpty() || !gone && !late
                ? Optional.empty()
                : Optional.of(report(sender, recipient, message, gone).getBytes(StandardCharsets.UTF_8));
    }

    private static String report(String sender, String recipient, byte[] message, boolean gone) {
        String said = gone ? "550 5.1.1 no such user here" : "451 4.2.0 the mailbox is busy, trying again";
        return String.join(
                "\r\n",
                "From: Mail delivery <mailer-daemon@post-office.example>",
                "To: " + sender,
                "Subject: " + (gone ? "Undeliverable mail" : "Delayed mail"),
                "Auto-Submitted: auto-replied",
                "MIME-Version: 1.0",
                "Content-Type: multipart/report; report-type=delivery-status; boundary=\"parts\"",
                "",
                "--parts",
                "Content-Type: text/plain; charset=us-ascii",
                "",
                gone
                        ? "Your message could not be delivered to " + recipient + "."
                        : "Your message to " + recipient + " has not been delivered yet.",
                "",
                "--parts",
                "Content-Type: message/delivery-status",
                "",
                "Reporting-MTA: dns; post-office.example",
                "",
                "Final-Recipient: rfc822; " + recipient,
                "Action: " + (gone ? "failed" : "delayed"),
                "Status: " + (gone ? "5.1.1" : "4.2.0"),
                "Diagnostic-Code: smtp; " + said,
                "",
                "--parts",
                "Content-Type: text/rfc822-headers",
                "",
                header(message),
                "--parts--",
                "");
    }

    private static String header(byte[] message) {
        String beginning = new String(message, 0, Math.min(message.length, SHOWN), StandardCharsets.UTF_8);
        int end = beginning.indexOf("\r\n\r\n");
        return (end < 0 ? beginning : beginning.substring(0, end)) + "\r\n";
    }
}
