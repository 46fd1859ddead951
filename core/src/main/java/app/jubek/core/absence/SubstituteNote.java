package app.jubek.core.absence;

import app.jubek.core.address.MailAddress;
import app.jubek.core.outgoing.OwnLetter;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * What a substitute is told of an absence.
 *
 * @param by who is away
 * @param mailbox whose mail it is about
 * @param mail what is handed over, in words; none where the answer only names the substitute
 * @param page where to agree and to decline
 */
public record SubstituteNote(
        Absence absence, String by, MailAddress mailbox, List<String> mail, Optional<String> page) {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEEE, d MMMM uuuu", Locale.UK);

    /** Beforehand, and asks for a yes. */
    public OwnLetter asks() {
        String text =
                by + " is away" + days() + ",\nand asks you to stand in for " + mailbox.shown() + ".\n\n" + whatComes()
                        + toAnswer("To agree or to decline", "AGREE or DECLINE")
                        + "\nUntil you agree nothing is handed over, and the answer does not name you.\n";
        return letter("Will you stand in? " + by + " is away" + days(), text);
    }

    /** To one who has agreed, or was asked. */
    public OwnLetter tellsOfChange() {
        String text = "something changed about the time in which you stand in for " + mailbox.shown() + ".\n" + by
                + " is now away" + days() + ".\n\n" + whatComes()
                + toAnswer("If that does not suit you any more", "DECLINE");
        return letter("Changed: " + by + " is away" + days(), text);
    }

    public OwnLetter tellsOfReturn() {
        String text = by + " is back, earlier than planned. You need not stand in for\n" + mailbox.shown()
                + " any more: nothing is handed over to you, and no answer names you. Thank you.\n";
        return letter(by + " is back", text);
    }

    public OwnLetter callsOff() {
        String text = "you were asked to stand in for " + mailbox.shown() + "\n" + days().strip()
                + ". That is not needed any more.\nNothing is handed over to you, and no answer names you.\n";
        return letter("Not needed any more: standing in for " + by, text);
    }

    private static OwnLetter letter(String subject, String text) {
        return new OwnLetter(subject, "Hello,\n\n" + text);
    }

    private String whatComes() {
        if (mail.isEmpty()) {
            return "No mail is handed over to you. The answer that senders get names you as the\n"
                    + "one to turn to meanwhile.\n";
        }
        StringBuilder text = new StringBuilder("What comes to you in that time:\n\n");
        mail.forEach(each -> text.append("  - ").append(each).append('\n'));
        return text.toString();
    }

    private String toAnswer(String what, String word) {
        return page.map(address -> "\n" + what + ", open this page and press a button there:\n\n  " + address
                        + "\n\nOr answer this message with the one word " + word + ".\n")
                .orElse("\n" + what + ", answer this message with the one word " + word + ".\n");
    }

    private String days() {
        return absence.first().equals(absence.last())
                ? " on " + DAY.format(absence.first())
                : " from " + DAY.format(absence.first()) + " to " + DAY.format(absence.last());
    }
}
