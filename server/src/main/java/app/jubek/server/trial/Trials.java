package app.jubek.server.trial;

import app.jubek.core.address.MailAddress;
import app.jubek.core.message.ByteSource;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.reading.MessageReading;
import app.jubek.core.text.Limits;
import app.jubek.formats.trial.WrittenTrial;
import app.jubek.server.content.TrialContent;
import app.jubek.server.platform.CpuBudget;
import app.jubek.server.platform.Refused;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The trials of each mailbox. Their messages are copies: no retention and no mail server takes them away. */
@Service
class Trials {
    private static final int MOST = 2_000;
    private static final int READ_AT_MOST = 4_000;
    private static final int MOST_MEGABYTES = 10;

    private final TrialRepository trials;
    private final TrialContent content;
    private final Clock clock;
    private final MessageReading reading = new MessageReading(Limits.standard());
    private final Map<UUID, Read> read = new ConcurrentHashMap<>();

    Trials(TrialRepository trials, TrialContent content, Clock clock) {
        this.trials = trials;
        this.content = content;
        this.clock = clock;
    }

    private record Read(int revision, ReadMessage message) {}

    /**
     * Tells one state of a mailbox's trials from another.
     *
     * @param changed how often they were kept or changed, in all
     */
    record Stamp(long count, long changed, @Nullable Instant last) {}

    @Transactional(readOnly = true)
    List<UUID> mailboxes() {
        return trials.mailboxes();
    }

    @Transactional(readOnly = true)
    Stamp stamp(UUID mailbox) {
        return trials.stamp(mailbox);
    }

    @Transactional(readOnly = true)
    List<KeptTrial> all(UUID mailbox) {
        return trials.of(mailbox).stream().map(TrialEntity::kept).toList();
    }

    @Transactional(readOnly = true)
    List<KeptTrial> ofPerson(UUID mailbox, MailAddress person) {
        return trials.of(mailbox, person.key()).stream().map(TrialEntity::kept).toList();
    }

    /**
     * @throws Refused as not found
     */
    @Transactional(readOnly = true)
    KeptTrial find(UUID mailbox, UUID id) {
        return entity(mailbox, id).kept();
    }

    private TrialEntity entity(UUID mailbox, UUID id) {
        return trials.findByIdAndMailboxId(id, mailbox).orElseThrow(Refused::notFound);
    }

    ByteSource bytes(KeptTrial trial) {
        return content.of(trial.id());
    }

    /** Its message; read once for each of its forms. */
    ReadMessage message(KeptTrial trial) {
        if (read.size() > READ_AT_MOST) {
            read.clear();
        }
        return read.compute(
                        trial.id(),
                        (id, known) -> known != null && known.revision() == trial.revision()
                                ? known
                                : new Read(trial.revision(), read(content.of(id))))
                .message();
    }

    ReadMessage read(ByteSource bytes) {
        try (InputStream in = bytes.open()) {
            return reading.read(in, CpuBudget.ofMessage());
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    /**
     * @throws Refused when there are as many as may be kept, or the message is too large
     */
    @Transactional
    UUID keep(UUID mailbox, WrittenTrial written, ByteSource message, String who) {
        if (trials.countByMailboxId(mailbox) >= MOST) {
            throw Refused.conflict(
                    "This mailbox keeps " + MOST + " trials, the most that may be: remove some that show nothing more.",
                    Map.of());
        }
        if (message.size() > (long) MOST_MEGABYTES << 20) {
            throw Refused.invalid(
                    "This message is larger than " + MOST_MEGABYTES + " MB: write one like it instead.", List.of());
        }
        UUID id = UUID.randomUUID();
        trials.saveAndFlush(new TrialEntity(id, mailbox, written, people(read(message)), clock.instant(), who));
        content.store(id, message);
        return id;
    }

    @Transactional
    void change(UUID mailbox, UUID id, WrittenTrial written) {
        entity(mailbox, id).write(written);
    }

    @Transactional
    void change(UUID mailbox, UUID id, WrittenTrial written, ByteSource message) {
        TrialEntity entity = entity(mailbox, id);
        entity.write(written);
        entity.names(people(read(message)));
        content.replace(id, message);
    }

    @Transactional
    void remove(UUID mailbox, UUID id) {
        TrialEntity entity = entity(mailbox, id);
        content.remove(List.of(id));
        trials.delete(entity);
        read.remove(id);
    }

    /** With these versions of the rules they held. */
    @Transactional
    void held(Collection<UUID> ids, int version) {
        if (!ids.isEmpty()) {
            trials.held(ids, version);
        }
    }

    private static String[] people(ReadMessage message) {
        return message.addresses().values().stream()
                .flatMap(Collection::stream)
                .map(MailAddress::key)
                .distinct()
                .toArray(String[]::new);
    }
}
