package app.jubek.core.absence;

import app.jubek.core.address.MailAddress;
import app.jubek.core.outgoing.OwnLetter;
import java.util.List;
import java.util.Optional;

/**
 * What came in during an absence, and what became of it.
 *
 * @param senders the one who wrote most first
 * @param dealtWith of what was handed over
 * @param waiting steps that wait for a person
 */
public record OnReturn(int messages, List<Writer> senders, int answered, int handedOver, int dealtWith, int waiting) {
    private static final int LISTED = 10;

    /**
     * @param messages that they wrote
     */
    public record Writer(String address, String shown, int messages) {}

    public OnReturn {
        senders = List.copyOf(senders);
    }

    /**
     * The summary as a message to the mailbox itself.
     *
     * @param page where each line opens its messages
     */
    public OwnLetter letter(MailAddress mailbox, Optional<String> page) {
        StringBuilder text = new StringBuilder("Welcome back.\n\nWhile you were away, at ")
                .append(mailbox.shown())
                .append(":\n\n");
        line(text, messages, "came in, from " + counted(senders.size(), "sender", "senders"));
        line(text, answered, "answered that you are away");
        line(text, handedOver, "handed over, of which " + dealtWith + " dealt with");
        line(text, waiting, "waiting for a person");
        if (!senders.isEmpty()) {
            text.append("\nWho wrote most:\n\n");
            senders.stream()
                    .limit(LISTED)
                    .forEach(each -> text.append("  ")
                            .append(each.messages())
                            .append("  ")
                            .append(each.shown())
                            .append('\n'));
        }
        page.ifPresent(address ->
                text.append("\nTo look at them:\n\n  ").append(address).append('\n'));
        text.append("\nYour absence is over: nobody is answered and nothing is handed over any more.\n");
        return new OwnLetter("While you were away: " + counted(messages, "message", "messages"), text.toString());
    }

    private static void line(StringBuilder text, int count, String what) {
        text.append("  ").append(count).append("  ").append(what).append('\n');
    }

    private static String counted(int count, String one, String several) {
        return count + " " + (count == 1 ? one : several);
    }
}
