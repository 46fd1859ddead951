package app.jubek.core.view;

import app.jubek.core.address.MailAddress;
import app.jubek.core.message.Attachment;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.message.Role;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;

/**
 * A message as a mail program shows it to whoever gets it (common practice).
 *
 * @param sender as shown
 * @param answers where an answer goes: Reply-To, else the sender (RFC 5322 §3.6.2)
 * @param attachments their names
 */
public record AsReceived(String sender, String to, String subject, String answers, List<String> attachments) {

    public AsReceived {
        attachments = List.copyOf(attachments);
    }

    public static AsReceived of(ReadMessage message) {
        List<MailAddress> answers =
                message.in(Role.REPLY_TO).isEmpty() ? message.in(Role.FROM) : message.in(Role.REPLY_TO);
        return new AsReceived(
                shown(message.in(Role.FROM)),
                shown(message.in(Role.TO)),
                message.subject(),
                shown(answers),
                message.attachments().stream()
                        .map(Attachment::name)
                        .filter(name -> !name.isEmpty())
                        .toList());
    }

    /** A part of a message that recipients see. */
    public enum Seen {
        SENDER,
        SUBJECT,
        REPLIES_TO,
        ATTACHMENTS
    }

    /**
     * Something that the recipient sees otherwise.
     *
     * @param what which part of it
     */
    public record SeenOtherwise(Seen what, String before, String now) {}

    /** What differs from the message as it came in. */
    public List<SeenOtherwise> from(AsReceived original) {
        List<SeenOtherwise> found = new ArrayList<>();
        note(found, Seen.SENDER, original.sender, sender);
        note(found, Seen.SUBJECT, original.subject, subject);
        note(found, Seen.REPLIES_TO, original.answers, answers);
        note(found, Seen.ATTACHMENTS, String.join(", ", original.attachments), String.join(", ", attachments));
        return found;
    }

    private static void note(List<SeenOtherwise> found, Seen what, String before, String now) {
        if (!before.equals(now)) {
            found.add(new SeenOtherwise(what, before, now));
        }
    }

    private static String shown(List<MailAddress> addresses) {
        return addresses.stream().map(MailAddress::inFull).collect(Collectors.joining(", "));
    }
}
