package app.jubek.server.intake;

import app.jubek.core.corpus.PastMessage;
import app.jubek.core.criteria.PastText;
import app.jubek.core.message.MessageReading;
import app.jubek.core.message.Octets;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.text.Folding;
import app.jubek.core.text.Limits;
import app.jubek.server.delivery.StoredMail;
import app.jubek.server.mailbox.Fetched;
import app.jubek.server.platform.Refused;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
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
    private final MessageReading reading = new MessageReading(Limits.standard());

    Messages(MessageRepository messages, StoredOctets octets, Whereabouts whereabouts) {
        this.messages = messages;
        this.octets = octets;
        this.whereabouts = whereabouts;
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

    /** Messages stored after one, in the order of storing, folded for the corpus. */
    @Transactional(readOnly = true)
    public List<PastMessage> after(UUID mailbox, long after, int limit) {
        return messages.after(mailbox, after, Limit.of(limit)).stream()
                .map(Messages::past)
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

    private static PastMessage past(MessageEntity m) {
        PastText folded = new PastText(
                Folding.fold(m.subject()),
                m.texts().stream().map(Folding::fold).toList(),
                m.senderNames().stream().map(Folding::fold).toList(),
                m.senders(),
                m.recipients());
        return new PastMessage(m.id(), m.receivedAt(), m.senderShown(), m.subject(), folded);
    }
}
