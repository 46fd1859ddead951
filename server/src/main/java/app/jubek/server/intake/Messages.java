package app.jubek.server.intake;

import app.jubek.core.corpus.PastMessage;
import app.jubek.core.criteria.InHand;
import app.jubek.core.criteria.Setting;
import app.jubek.core.message.MessageReading;
import app.jubek.core.message.Octets;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.people.AddressBook;
import app.jubek.core.text.Limits;
import app.jubek.server.delivery.StoredMail;
import app.jubek.server.mailbox.Fetched;
import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.platform.Refused;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The stored messages, for those who do not take them in. */
@Service
public class Messages implements StoredMail {
    private final MessageRepository messages;
    private final StoredOctets octets;
    private final Whereabouts whereabouts;
    private final Mailboxes mailboxes;
    private final Clock clock;
    private final MessageReading reading = new MessageReading(Limits.standard());

    Messages(
            MessageRepository messages,
            StoredOctets octets,
            Whereabouts whereabouts,
            Mailboxes mailboxes,
            Clock clock) {
        this.messages = messages;
        this.octets = octets;
        this.whereabouts = whereabouts;
        this.mailboxes = mailboxes;
        this.clock = clock;
    }

    @Override
    @Transactional(readOnly = true)
    public Stored find(long id) {
        MessageEntity found = messages.findById(id).orElseThrow(Refused::notFound);
        return new Stored(id, found.place(), found.messageId(), found.size(), found.digest());
    }

    @Override
    public Octets octets(long id) {
        if (!octets.has(id)) {
            throw Refused.notFound();
        }
        return octets.of(id);
    }

    /** Read anew from its octets; empty when they were cleared away for their age. */
    ReadMessage read(long id) {
        try (InputStream in = octets.of(id).open()) {
            return reading.read(in);
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    @Override
    public void moved(long id, Fetched.Place place) {
        whereabouts.moved(id, place);
    }

    /** Messages stored after one, in the order of storing, for the corpus. */
    @Transactional
    public List<PastMessage> after(UUID mailbox, long after, int limit) {
        Mailbox seenBy = mailboxes.find(mailbox);
        return messages.after(mailbox, after, Limit.of(limit)).stream()
                .map(m -> past(m, seenBy))
                .toList();
    }

    /** The texts of some messages as displayed, by id. */
    @Transactional(readOnly = true)
    public Map<Long, List<String>> texts(UUID mailbox, Collection<Long> ids) {
        Map<Long, List<String>> texts = new HashMap<>();
        messages.all(mailbox, ids).forEach(m -> texts.put(m.id(), m.texts()));
        return texts;
    }

    /** One line for each message, by id. */
    @Transactional(readOnly = true)
    public Map<Long, MessageLine> lines(UUID mailbox, Collection<Long> ids) {
        Map<Long, MessageLine> lines = new HashMap<>();
        messages.all(mailbox, ids).forEach(m -> lines.put(m.id(), line(m)));
        return lines;
    }

    private static MessageLine line(MessageEntity m) {
        return new MessageLine(
                m.id(), m.receivedAt(), m.senderShown(), m.subject(), m.attachments(), m.standing(), m.notes());
    }

    private PastMessage past(MessageEntity m, Mailbox mailbox) {
        StoredParts parts = m.parts().orElseGet(() -> partsReadAnew(m));
        ReadMessage message = parts.message(m.subject(), m.texts(), m.size(), m.messageId(), m.notes());
        Setting setting = new Setting(
                mailbox.own(),
                AddressBook.empty(),
                clock.instant(),
                m.receivedAt(),
                mailbox.zone(),
                parts.conversation(),
                mailbox.own().identity().address(),
                m.place().folder());
        return new PastMessage(m.id(), m.receivedAt(), new InHand(message, setting));
    }

    /** Of a message stored before its parts were kept; nothing more is known where its octets were cleared away. */
    private StoredParts partsReadAnew(MessageEntity m) {
        return octets.has(m.id()) ? m.read(read(m.id()), false).parts().orElseThrow() : m.partsOfLine();
    }
}
