package app.jubek.core.step;

import app.jubek.core.address.MailAddress;
import app.jubek.core.template.TemplateId;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

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
 * @param languages further templates: the one in the language of the message answered takes the place of the step's own
 * @param substitute who is named to the sender as the one to turn to meanwhile
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
        Release release,
        List<TemplateId> languages,
        Optional<MailAddress> substitute) {
    public ReplyOptions {
        languages = List.copyOf(languages);
        copies = List.copyOf(copies);
        aliases = List.copyOf(aliases);
        key = key.filter(name -> !name.isBlank());
        if (quotes && release instanceof Release.Composed) {
            throw new IllegalArgumentException("an answer composed from the message does not quote it");
        }
    }

    /** In one language, and naming nobody. */
    public ReplyOptions(
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
        this(
                frequency,
                key,
                to,
                quotes,
                copies,
                aliases,
                from,
                inConversations,
                keepsUnanswered,
                release,
                List.of(),
                Optional.empty());
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
        return new ReplyOptions(
                frequency,
                key,
                to,
                quotes,
                copies,
                aliases,
                from,
                inConversations,
                keeps,
                release,
                languages,
                substitute);
    }

    /** The same for mail to other addresses, too. */
    public ReplyOptions alsoTo(List<MailAddress> others) {
        return new ReplyOptions(
                frequency,
                key,
                to,
                quotes,
                copies,
                others,
                from,
                inConversations,
                keepsUnanswered,
                release,
                languages,
                substitute);
    }

    /** The same, going out at another time. */
    public ReplyOptions released(Release when) {
        return new ReplyOptions(
                frequency,
                key,
                to,
                quotes,
                copies,
                aliases,
                from,
                inConversations,
                keepsUnanswered,
                when,
                languages,
                substitute);
    }

    /** The same in further languages, naming somebody to turn to. */
    public ReplyOptions away(List<TemplateId> others, Optional<MailAddress> named) {
        return new ReplyOptions(
                frequency,
                key,
                to,
                quotes,
                copies,
                aliases,
                from,
                inConversations,
                keepsUnanswered,
                release,
                others,
                named);
    }

    /**
     * Every template that an answer may be taken from.
     *
     * @param own the step's, which comes first
     */
    public List<TemplateId> templates(Optional<TemplateId> own) {
        return Stream.concat(own.stream(), languages.stream()).toList();
    }
}
