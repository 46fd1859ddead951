package app.jubek.core.outgoing;

import app.jubek.core.address.MailAddress;
import java.time.ZonedDateTime;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * Asks somebody outside whether they want what a mailbox would hand on to them, or tells a colleague that it comes. Marked as made by a machine (RFC 3834 §5),
 * so that no other machine answers it.
 *
 * @param from the mailbox's identity
 * @param by the person whose rule it is
 * @param mail what would come, for each rule
 * @param page where to agree, to decline and to stop; empty where there is no such page
 * @param code by which somebody without the page agrees
 * @param until it can be agreed to
 * @param why what it is about
 */
public record AgreementRequest(
        MailAddress from,
        MailAddress to,
        String by,
        List<Mail> mail,
        Optional<String> page,
        String code,
        ZonedDateTime until,
        Why why) {
    /** What it is about. */
    public enum Why {
        /** Nothing was agreed to yet. */
        FIRST("May we? Mail from "),
        /** An agreement that was given before ends soon. */
        AGAIN("Still all right? Mail from "),
        /** Whoever has one of the messages wants no more of them. */
        STOP("Stop it? Mail from "),
        /** It is in a domain of ours, and gets mail without having agreed. */
        TOLD("For your information: mail from ");

        private final String subject;

        Why(String subject) {
            this.subject = subject;
        }
    }

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEEE, d MMMM uuuu", Locale.UK);

    /**
     * What a rule would hand on.
     *
     * @param which in words
     * @param aWeek about how many messages a week, by past mail; empty while that has not been read
     */
    public record Mail(String which, Optional<Double> aWeek) {
        private String line() {
            return "  - " + which + aWeek.map(Mail::often).orElse("") + "\n";
        }

        private static String often(double aWeek) {
            return aWeek < 1 ? " (less than one message a week)" : " (about " + Math.round(aWeek) + " a week)";
        }
    }

    public AgreementRequest {
        mail = List.copyOf(mail);
    }

    /**
     * @param messageId with angle brackets
     */
    public byte[] bytes(String messageId, ZonedDateTime at) {
        return new OwnLetter(why.subject + us() + " to you", text()).bytes(from, to, messageId, at);
    }

    private String us() {
        return from.shown();
    }

    private String text() {
        StringBuilder text = new StringBuilder("Hello,\n\n");
        switch (why) {
            case STOP -> toStop(text);
            case TOLD -> told(text);
            default -> toAgree(text);
        }
        return text.toString();
    }

    private void toAgree(StringBuilder text) {
        text.append(by).append(" would like to hand on some of the mail that comes in at\n");
        text.append(whole(from)).append(" to you, at ").append(to.address()).append(".\n\n");
        text.append("What would come:\n\n");
        mail.forEach(each -> text.append(each.line()));
        text.append(
                why == Why.AGAIN ? "\nYou agreed to it, and that ends soon.\n" : "\nNothing comes before you agree.\n");
        page.ifPresentOrElse(address -> onPage(text, address), () -> byCode(text));
        text.append("\nIf you do nothing, ");
        text.append(why == Why.AGAIN ? "it ends by itself.\n" : "nothing comes. We remind you once.\n");
        text.append("An agreement ends after 12 months; before it does, we ask again.\n");
    }

    /** Messages are quoted and passed on, so whoever opened the page need not be the one who agreed. */
    private void toStop(StringBuilder text) {
        text.append("somebody who has a message that ").append(whole(from)).append('\n');
        text.append("handed on to ").append(to.address()).append(" asked to stop such mail. What comes now:\n\n");
        mail.forEach(each -> text.append(each.line()));
        page.ifPresent(address -> text.append("\nTo stop it, open this page and press a button there:\n\n  ")
                .append(address)
                .append('\n'));
        text.append(page.isPresent() ? "\nOr answer" : "\nTo stop it, answer").append(" with the one word STOP.\n");
        text.append("\nIf you do nothing, it goes on as before.\n");
    }

    private void told(StringBuilder text) {
        text.append(by).append(" has made rules for the mail that comes in at\n");
        text.append(whole(from))
                .append(". Some of it now comes to you, at ")
                .append(to.address())
                .append(":\n\n");
        mail.forEach(each -> text.append(each.line()));
        page.ifPresentOrElse(
                address -> text.append("\nIf you do not want it, open this page and press a button there:\n\n  ")
                        .append(address)
                        .append('\n'),
                () -> text.append("\nIf you do not want it, answer with the one word STOP.\n"));
        text.append("\nIf you do nothing, it comes. You are told only once.\n");
    }

    private void onPage(StringBuilder text, String address) {
        text.append("\nTo agree or to decline, open this page and press a button there:\n\n  ");
        text.append(address).append("\n\nYou can agree until ").append(DAY.format(until));
        text.append(". There you can also stop it later, at any time.\n");
        text.append("If the page does not open, answer with the one word AGREE or DECLINE, or tell\n");
        text.append(by).append(" this code to agree: ").append(code).append('\n');
    }

    private void byCode(StringBuilder text) {
        text.append("\nTo agree, answer with the one word AGREE, or tell ")
                .append(by)
                .append(" this code: ")
                .append(code)
                .append("\n");
        text.append("You can agree until ").append(DAY.format(until)).append(".\n");
        text.append("To decline now or to stop it later, answer with the one word STOP.\n");
    }

    private static String whole(MailAddress address) {
        return address.name().isBlank() ? address.address() : address.name() + " <" + address.address() + ">";
    }
}
