package app.jubek.core.outgoing;

import app.jubek.core.address.MailAddress;
import java.time.ZonedDateTime;
import java.util.List;
import java.util.Optional;

/**
 * What Jubek writes by itself, and not about one message: marked as made by a machine (RFC 3834 §5), so that no other
 * machine answers it.
 */
public record OwnLetter(String subject, String text) {
    private static final int LISTED = 20;

    /** To one of our own aliases, to see whether it arrives. */
    public static OwnLetter aliasTest(MailAddress alias) {
        return new OwnLetter(
                "Test: does mail to " + alias.address() + " arrive?",
                "Jubek sent this to see whether mail to this address matches the mailbox.\n"
                        + "No rule acts on it. It can be deleted.\n");
    }

    /**
     * Something that waits for a person.
     *
     * @param what is to be done
     * @param subject of the message it is about
     * @param sender of that message
     */
    public record Waits(String what, String subject, String sender) {
        private String line() {
            return "  - " + subject + ", from " + sender + "\n    " + what + "\n";
        }
    }

    /**
     * What waits for the people of a mailbox, and what begins or ends soon.
     *
     * @param waiting what has waited longest first
     * @param ahead a line for each
     * @param page where it can be looked at; empty where nobody can say
     */
    public static OwnLetter digest(
            MailAddress mailbox, List<Waits> waiting, List<String> ahead, Optional<String> page) {
        StringBuilder text = new StringBuilder("Hello,\n");
        if (!waiting.isEmpty()) {
            text.append("\nthis waits for somebody at ").append(mailbox.shown()).append(":\n\n");
            waiting.stream().limit(LISTED).forEach(each -> text.append(each.line()));
            more(waiting.size(), text);
            page.ifPresent(address -> text.append("\nTo look at it and to decide:\n\n  ")
                    .append(address)
                    .append('\n'));
        }
        if (!ahead.isEmpty()) {
            text.append("\nRules at ").append(mailbox.shown());
            text.append(" begin or end before the next working day is over:\n\n");
            ahead.stream()
                    .limit(LISTED)
                    .forEach(each -> text.append("  - ").append(each).append('\n'));
            more(ahead.size(), text);
        }
        text.append("\nYou get this once on each working day on which something waits, or a rule is about to begin\n");
        text.append("or to end. To end that, open Records, view Waiting.\n");
        return new OwnLetter(digestSubject(waiting.size()) + " at " + mailbox.shown(), text.toString());
    }

    private static void more(int all, StringBuilder text) {
        if (all > LISTED) {
            text.append("  and ").append(all - LISTED).append(" more\n");
        }
    }

    private static String digestSubject(int waiting) {
        return switch (waiting) {
            case 0 -> "Rules begin or end soon";
            case 1 -> "1 message waits";
            default -> waiting + " messages wait";
        };
    }

    /**
     * @param messageId with angle brackets
     */
    public byte[] bytes(MailAddress from, MailAddress to, String messageId, ZonedDateTime at) {
        Stamp stamp = new Stamp(from, to, messageId, at);
        return new HeaderBlock()
                .with("From", from)
                .with("To", to)
                .withText("Subject", subject)
                .raw("Date", stamp.date())
                .raw("Message-ID", messageId)
                .raw("Auto-Submitted", "auto-generated")
                .message(text);
    }
}
