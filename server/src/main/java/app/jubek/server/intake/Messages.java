package app.jubek.server.intake;

import app.jubek.core.corpus.PastMessage;
import app.jubek.core.message.ByteSource;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.people.AddressBook;
import app.jubek.core.reading.MessageReading;
import app.jubek.core.text.Limits;
import app.jubek.server.addressbook.AddressBooks;
import app.jubek.server.content.MessageContent;
import app.jubek.server.folders.StoredMail;
import app.jubek.server.mailbox.Fetched;
import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.platform.Border;
import app.jubek.server.platform.CpuBudget;
import app.jubek.server.platform.Refused;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The stored messages, for those who do not take them in. */
@Service
public class Messages implements StoredMail {
    private static final Logger LOG = LoggerFactory.getLogger(Messages.class);
    private static final Instant LATEST = Instant.parse("9999-12-31T00:00:00Z");

    private final MessageRepository messages;
    private final MessageContent bytes;
    private final Whereabouts whereabouts;
    private final Mailboxes mailboxes;
    private final AddressBooks people;
    private final Clock clock;
    private final MessageReading reading = new MessageReading(Limits.standard());

    Messages(
            MessageRepository messages,
            MessageContent bytes,
            Whereabouts whereabouts,
            Mailboxes mailboxes,
            AddressBooks people,
            Clock clock) {
        this.messages = messages;
        this.bytes = bytes;
        this.whereabouts = whereabouts;
        this.mailboxes = mailboxes;
        this.people = people;
        this.clock = clock;
    }

    @Override
    @Transactional(readOnly = true)
    public Stored find(long id) {
        MessageEntity found = messages.findById(id).orElseThrow(Refused::notFound);
        return new Stored(id, found.place(), found.messageId(), found.size(), found.digest());
    }

    @Override
    public ByteSource bytes(long id) {
        if (!bytes.has(id)) {
            throw Refused.notFound();
        }
        return bytes.of(id);
    }

    /** Read anew from its bytes; empty when they were cleared away for their age. */
    ReadMessage read(long id) {
        try (InputStream in = bytes.of(id).open()) {
            return reading.read(in, CpuBudget.ofMessage());
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    /**
     * A message as it is opened.
     *
     * @param message of one that can't be read, the beginning of its header
     * @param decision empty for past mail
     * @param repeats empty when it came once
     */
    public record Opened(ReadMessage message, Optional<StoredDecision> decision, Optional<Repeats> repeats) {}

    /**
     * The same message came in again, and nothing was done about it.
     *
     * @param times how often
     * @param last when it came in last
     */
    public record Repeats(int times, Instant last) {}

    /**
     * @throws Refused as not found
     */
    public Opened open(UUID mailbox, long id) {
        MessageEntity found = messages.findByIdAndMailboxId(id, mailbox).orElseThrow(Refused::notFound);
        return new Opened(
                readAsFarAsPossible(id),
                found.decision(),
                found.repeatedAt().map(last -> new Repeats(found.repeats(), last)));
    }

    private ReadMessage readAsFarAsPossible(long id) {
        List<ReadMessage> read = new ArrayList<>();
        Optional<Border.Failure> failure = Border.around(() -> read.add(read(id)));
        if (failure.filter(Border.Failure::isTransient).isPresent()) {
            throw new IllegalStateException(failure.get().cause());
        }
        return failure.isEmpty() ? read.get(0) : MessageReading.outline(bytes.of(id));
    }

    @Override
    public void moved(long id, Fetched.Place place) {
        whereabouts.moved(id, place);
    }

    /**
     * How much past mail there is.
     *
     * @param last the id stored last
     */
    public record Extent(long messages, long last) {}

    @Transactional(readOnly = true)
    public Extent extent(UUID mailbox) {
        Object[] found = messages.extent(mailbox).get(0);
        return new Extent((long) found[0], (long) found[1]);
    }

    /** Messages stored after one, in the order of storing. */
    @Transactional(readOnly = true)
    public List<PastMessage> after(UUID mailbox, long after, int limit) {
        return past(mailbox, messages.after(mailbox, after, Limit.of(limit)));
    }

    /** Messages that came in before one, the latest first, as far as they were stored by then. */
    @Transactional(readOnly = true)
    public List<PastMessage> before(UUID mailbox, Extent stored, Optional<PastMessage> before, int limit) {
        Instant received = before.map(PastMessage::received).orElse(LATEST);
        long id = before.map(PastMessage::id).orElse(Long.MAX_VALUE);
        return past(mailbox, messages.before(mailbox, stored.last(), received, id, Limit.of(limit)));
    }

    private List<PastMessage> past(UUID mailbox, List<PastRow> rows) {
        Mailbox seenBy = mailboxes.find(mailbox);
        Instant now = clock.instant();
        AddressBook known = people.of(mailbox);
        List<PastMessage> past = new ArrayList<>();
        rows.forEach(row -> Border.around(() -> past.add(row.seenBy(seenBy, known, now)))
                .ifPresent(failure -> LOG.warn("past message {} can't be looked at: {}", row.id(), failure.trace())));
        return past;
    }

    /**
     * Reads messages anew that were stored before as much was kept of them.
     *
     * @return how many were; none when all are as they should be
     */
    @Transactional
    public int readAnew(UUID mailbox, int limit) {
        List<MessageEntity> old = messages.ofOlderForm(mailbox, MessageEntity.FORM_VERSION, Limit.of(limit));
        old.forEach(m -> {
            boolean readable = bytes.has(m.id())
                    && Border.around(() -> m.read(read(m.id()), false)).isEmpty();
            if (!readable) {
                m.keepLine();
            }
        });
        return old.size();
    }

    /** How many messages that came in since an instant were decided. */
    @Transactional(readOnly = true)
    public int decidedSince(UUID mailbox, Instant since) {
        return messages.countDecided(mailbox, since);
    }

    /** When each of the messages came in that were decided, since an instant. */
    @Transactional(readOnly = true)
    public Map<Long, Instant> decided(UUID mailbox, Instant since) {
        return messages.decided(mailbox, since).stream()
                .collect(Collectors.toMap(row -> (Long) row[0], row -> (Instant) row[1]));
    }

    /** The ids of the messages since an instant that came to be here in one way. */
    @Transactional(readOnly = true)
    public Set<Long> ofStatus(UUID mailbox, MessageStatus status, Instant since) {
        return messages.ofStatus(mailbox, status, since);
    }

    /** One line for each message, by id. */
    @Transactional(readOnly = true)
    public Map<Long, MessageLine> lines(UUID mailbox, Collection<Long> ids) {
        Map<Long, MessageLine> lines = new HashMap<>();
        messages.all(mailbox, ids).forEach(m -> lines.put(m.id(), line(m)));
        return lines;
    }

    static MessageLine line(MessageEntity m) {
        return new MessageLine(
                m.id(), m.receivedAt(), m.senderShown(), m.subject(), m.attachments(), m.status(), m.notes());
    }
}
