package app.jubek.core.criteria;

import app.jubek.core.address.MailAddress;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.message.Role;
import app.jubek.core.text.Folding;
import java.util.List;

/**
 * A message folded once, for looking things up in it.
 *
 * @param subject folded
 * @param texts folded, one for each text part
 * @param senderNames folded
 * @param senders From, as they are compared
 * @param recipients To and Cc, as they are compared
 */
public record Searchable(
        String subject, List<String> texts, List<String> senderNames, List<String> senders, List<String> recipients)
        implements Hits {
    public Searchable {
        texts = List.copyOf(texts);
        senderNames = List.copyOf(senderNames);
        senders = List.copyOf(senders);
        recipients = List.copyOf(recipients);
    }

    public static Searchable of(ReadMessage message) {
        return of(message.subject(), message.texts(), message.in(Role.FROM), message.recipients());
    }

    public static Searchable of(
            String subject, List<String> texts, List<MailAddress> from, List<MailAddress> recipients) {
        return new Searchable(
                Folding.fold(subject),
                texts.stream().map(Folding::fold).toList(),
                from.stream().map(MailAddress::name).map(Folding::fold).toList(),
                from.stream().map(MailAddress::key).toList(),
                recipients.stream().map(MailAddress::key).toList());
    }

    @Override
    public boolean any(Test test) {
        for (Probe probe : test.probes()) {
            if (probe.hits(this)) {
                return true;
            }
        }
        return false;
    }
}
