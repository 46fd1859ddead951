package app.jubek.core.step;

import app.jubek.core.address.MailAddress;
import java.util.List;
import java.util.Optional;

/**
 * How an answer is given.
 *
 * @param frequency to one sender
 * @param key rules that share one count for a sender say the same here; the rule itself where it is empty
 * @param quotes whether the message answered stands below
 * @param copies who gets a copy, as a message of its own
 * @param from the own address it is written as; the mailbox's identity where it is empty
 * @param inConversations whether an answer to something this mailbox sent is answered, too
 */
public record ReplyOptions(
        ReplyFrequency frequency,
        Optional<String> key,
        AnswersTo to,
        boolean quotes,
        List<MailAddress> copies,
        Optional<MailAddress> from,
        boolean inConversations) {
    public ReplyOptions {
        copies = List.copyOf(copies);
        key = key.filter(name -> !name.isBlank());
    }

    /** As answers are given unless a rule says otherwise. */
    public static ReplyOptions usual(ReplyFrequency frequency) {
        return new ReplyOptions(
                frequency, Optional.empty(), AnswersTo.Header.RETURN_PATH, false, List.of(), Optional.empty(), false);
    }
}
