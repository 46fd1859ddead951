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
 * @param aliases addresses that reach this mailbox beside its own: mail that names one of them is answered, too
 *     (RFC 5230 §4.5)
 * @param from the own address it is written as; the mailbox's identity where it is empty
 * @param inConversations whether an answer to something this mailbox sent is answered, too
 * @param keepsUnanswered whether the rule moves a message only once it is answered; what it does not answer stays where it
 *     is
 * @param release when it goes out
 */
public record ReplyOptions(
        ReplyFrequency frequency,
        Optional<String> key,
        AnswersTo to,
        boolean quotes,
        List<MailAddress> copies,
        List<MailAddress> aliases,
        Optional<MailAddress> from,
        boolean inConversations,
        boolean keepsUnanswered,
        Release release) {
    public ReplyOptions {
        copies = List.copyOf(copies);
        aliases = List.copyOf(aliases);
        key = key.filter(name -> !name.isBlank());
        if (quotes && release instanceof Release.Composed) {
            throw new IllegalArgumentException("an answer composed from the message does not quote it");
        }
    }

    /** As answers are given unless a rule says otherwise. */
    public static ReplyOptions usual(ReplyFrequency frequency) {
        return new ReplyOptions(
                frequency,
                Optional.empty(),
                AnswersTo.Header.RETURN_PATH,
                false,
                List.of(),
                List.of(),
                Optional.empty(),
                false,
                false,
                Release.Plain.AT_ONCE);
    }

    /** The same, with another rule for what is not answered. */
    public ReplyOptions keepingUnanswered(boolean keeps) {
        return new ReplyOptions(frequency, key, to, quotes, copies, aliases, from, inConversations, keeps, release);
    }

    /** The same for mail to other addresses, too. */
    public ReplyOptions alsoTo(List<MailAddress> others) {
        return new ReplyOptions(
                frequency, key, to, quotes, copies, others, from, inConversations, keepsUnanswered, release);
    }

    /** The same, going out at another time. */
    public ReplyOptions released(Release when) {
        return new ReplyOptions(
                frequency, key, to, quotes, copies, aliases, from, inConversations, keepsUnanswered, when);
    }
}
