package app.jubek.core.outgoing;

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
 * @param writer as shown
 * @param answers where an answer goes: Reply-To, else the writer (RFC 5322 §3.6.2)
 * @param attachments their names
 */
public record AsReceived(String writer, String to, String subject, String answers, List<String> attachments) {
    private static final String NONE = "none";

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

    /**
     * Something that the recipient sees otherwise.
     *
     * @param what in plain words
     */
    public record SeenOtherwise(String what, String before, String now) {}

    /** What differs from the message as it came in. */
    public List<SeenOtherwise> from(AsReceived original) {
        List<SeenOtherwise> found = new ArrayList<>();
        note(found, "writer shown", original.writer, writer);
        note(found, "subject", original.subject, subject);
        note(found, "an answer goes to", original.answers, answers);
        note(found, "attachments", String.join(", ", original.attachments), String.join(", ", attachments));
        return found;
    }

    private static void note(List<SeenOtherwise> found, String what, String before, String now) {
        if (!before.equals(now)) {
            found.add(new SeenOtherwise(what, before.isEmpty() ? NONE : before, now.isEmpty() ? NONE : now));
        }
    }

    private static String shown(List<MailAddress> addresses) {
        return addresses.stream().map(MailAddress::inFull).collect(Collectors.joining(", "));
    }
}
