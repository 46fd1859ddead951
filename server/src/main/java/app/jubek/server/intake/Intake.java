package app.jubek.server.intake;

import app.jubek.core.criteria.Setting;
import app.jubek.core.decide.Decision;
import app.jubek.core.decide.Engine;
import app.jubek.core.decide.Surroundings;
import app.jubek.core.message.MessageReading;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.message.TraceFields;
import app.jubek.core.outgoing.Composer;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.safety.HopMark;
import app.jubek.core.safety.Ledger;
import app.jubek.core.step.Step;
import app.jubek.core.text.Budget;
import app.jubek.core.text.Limits;
import app.jubek.server.delivery.Outbox;
import app.jubek.server.mailbox.Arrivals;
import app.jubek.server.mailbox.Fetched;
import app.jubek.server.mailbox.Lease;
import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.platform.Border;
import app.jubek.server.platform.CpuBudget;
import app.jubek.server.platform.Refused;
import app.jubek.server.rulebook.RuleBooks;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Takes messages in: read outside any transaction; then stored, decided, planned and the cursor moved in one short
 * transaction under the mailbox's lock. A message once decided is never decided again.
 */
@Service
public class Intake implements Arrivals {
    private final MessageRepository messages;
    private final IntakeParts parts;
    private final TransactionTemplate transaction;
    private final MessageReading reading = new MessageReading(Limits.standard());
    private final Set<UUID> triedAgain = ConcurrentHashMap.newKeySet();

    Intake(MessageRepository messages, IntakeParts parts, TransactionTemplate transaction) {
        this.messages = messages;
        this.parts = parts;
        this.transaction = transaction;
    }

    private record Read(Fetched fetched, ReadMessage message, String digest) {}

    @Override
    public void arrived(UUID mailbox, Fetched fetched, Lease lease) {
        Budget budget = CpuBudget.ofMessage();
        Read read = read(fetched, budget);
        transaction.executeWithoutResult(status -> takeIn(mailbox, read, lease, budget));
    }

    @Override
    public void setAside(UUID mailbox, Fetched fetched, Lease lease, String cause) {
        parts.setAside().store(mailbox, fetched, lease, cause);
    }

    /** In the background, as each may take its time. */
    @Override
    public void tryAgain(UUID mailbox) {
        if (triedAgain.add(mailbox)) {
            parts.background()
                    .execute(() -> Border.around(
                                    () -> parts.setAside().untried(mailbox).forEach(id -> tryAgain(mailbox, id)))
                            .ifPresent(interrupted -> triedAgain.remove(mailbox)));
        }
    }

    /**
     * Takes in once more what was set aside.
     *
     * @return false when it can't be taken in now either
     */
    public boolean tryAgain(UUID mailbox, long id) {
        parts.setAside().noteTried(id);
        Optional<Border.Failure> failure = Border.around(() -> takeInAnew(mailbox, id));
        if (failure.filter(Border.Failure::ofSurroundings).isPresent()) {
            parts.setAside().noteUntried(id);
            throw Refused.unavailable("The database does not answer just now. Try again in a moment.");
        }
        failure.ifPresent(again -> parts.setAside().failedAgain(id, again));
        return failure.isEmpty();
    }

    private void takeInAnew(UUID mailbox, long id) {
        Budget budget = CpuBudget.ofMessage();
        MessageEntity kept = messages.findByIdAndMailboxId(id, mailbox).orElseThrow(Refused::notFound);
        parts.setAside().checkWhole(kept);
        Fetched fetched =
                new Fetched(kept.place(), kept.receivedAt(), parts.octets().of(id), kept.size(), true);
        Read read = read(fetched, budget);
        transaction.executeWithoutResult(status -> {
            parts.mailboxes().lock(mailbox);
            MessageEntity entity = messages.findByIdAndMailboxId(id, mailbox).orElseThrow(Refused::notFound);
            if (entity.standing() == Standing.SET_ASIDE) {
                boolean conversation = isConversation(mailbox, read.message());
                Decided decided = decide(mailbox, read, conversation, budget);
                messages.saveAndFlush(entity.decidedAfterAll().read(read.message(), conversation));
                plan(entity, read, decided, budget);
                parts.mailboxes().evidenceChanged(mailbox);
                parts.decisions().increment();
            }
        });
    }

    @Override
    public boolean looksIntoJunk(UUID mailbox) {
        return parts.books().current(mailbox).book().all().stream()
                .anyMatch(rule -> rule.on() && rule.takesOutOfJunk());
    }

    @Override
    public void past(UUID mailbox, List<Fetched> fetched) {
        List<Read> all =
                fetched.stream().map(one -> read(one, CpuBudget.ofMessage())).toList();
        transaction.executeWithoutResult(status -> {
            Map<String, MessageEntity> known = knownByDigest(mailbox, all);
            for (Read read : all) {
                if (known.containsKey(read.digest())) {
                    known.get(read.digest()).locate(read.fetched().place());
                } else {
                    past(mailbox, read);
                }
            }
        });
    }

    private void past(UUID mailbox, Read read) {
        MessageEntity entity = new MessageEntity(mailbox, read.fetched(), read.digest(), Standing.PAST);
        ReadMessage message = read.fetched().whole()
                ? read.message()
                : read.message().withNote("is so large that only its header was read");
        store(entity.read(message, isConversation(mailbox, message)), read.fetched());
    }

    private Read read(Fetched fetched, Budget budget) {
        try (InputStream in = fetched.octets().open()) {
            return new Read(fetched, reading.read(in, budget), TraceFields.digestBelow(fetched.octets()));
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    private void takeIn(UUID mailboxId, Read read, Lease lease, Budget budget) {
        parts.mailboxes().lock(mailboxId);
        if (!parts.cursors().advance(lease, read.fetched().place()) || isAliasTest(mailboxId, read.message())) {
            return;
        }
        Optional<MessageEntity> known = known(mailboxId, read);
        if (known.isPresent()) {
            known.get().locate(read.fetched().place());
            return;
        }
        if (parts.cursors().isPast(mailboxId, read.fetched())) {
            past(mailboxId, read);
            return;
        }
        boolean conversation = isConversation(mailboxId, read.message());
        Decided decided = decide(mailboxId, read, conversation, budget);
        if (decided.at().setting().junk() && !decided.takesOutOfJunk()) {
            return;
        }
        MessageEntity entity = store(
                new MessageEntity(mailboxId, read.fetched(), read.digest(), Standing.DECIDED)
                        .read(noted(mailboxId, read), conversation),
                read.fetched());
        plan(entity, read, decided, budget);
        parts.mailboxes().messageCame(mailboxId, read.fetched().received());
        parts.decisions().increment();
    }

    /** A test of ours is neither evidence nor anything to act on. */
    private boolean isAliasTest(UUID mailbox, ReadMessage message) {
        return message.messageId()
                .filter(id -> parts.aliasTests().arrived(mailbox, id))
                .isPresent();
    }

    private record Decided(Mailbox mailbox, int version, Surroundings at, Decision decision) {
        boolean takesOutOfJunk() {
            return decision.planned().stream().anyMatch(p -> p.step() == Step.Plain.OUT_OF_JUNK);
        }
    }

    private Decided decide(UUID mailboxId, Read read, boolean conversation, Budget budget) {
        Mailbox mailbox = parts.mailboxes().find(mailboxId);
        RuleBooks.Versioned book = parts.books().current(mailbox.id());
        HopMark hops = new HopMark(parts.keys().key("hop-mark"));
        Setting setting = new Setting(
                mailbox.own(),
                parts.people().of(mailbox.id()),
                parts.clock().instant(),
                read.fetched().received(),
                mailbox.zone(),
                conversation,
                mailbox.own().identity().address(),
                read.fetched().place().folder(),
                !read.fetched().place().isInbox());
        Surroundings at = new Surroundings(
                setting,
                mailbox.opening(),
                parts.ledger().of(mailbox.id(), writers(book.book(), read.message())),
                hops,
                parts.books().onSince(mailbox.id()),
                parts.templates().of(mailbox.id()),
                new Surroundings.Agreed.Addresses(Set.of()));
        Decision decision = Engine.decide(parts.books().compiled(mailbox.id(), book), read.message(), at, budget);
        return new Decided(mailbox, book.version(), at, decision);
    }

    private void plan(MessageEntity entity, Read read, Decided decided, Budget budget) {
        Mailbox mailbox = decided.mailbox();
        Decision decision = decided.decision();
        entity.decided(StoredDecision.of(decided.version(), decision));
        Composer composer = new Composer(
                mailbox.own(),
                decided.at().hops(),
                mailbox.zone(),
                parts.documents().octets(mailbox.id()));
        Composer.Original original =
                new Composer.Original(read.message(), read.fetched().octets(), read.digest());
        parts.outbox()
                .plan(new Outbox.Plan(
                        mailbox.id(),
                        entity.id(),
                        original,
                        composer,
                        decision.asCarriedOut(),
                        decision.notDone(),
                        budget));
    }

    /** Whether it answers something this mailbox sent, by Jubek or by a person. */
    private boolean isConversation(UUID mailbox, ReadMessage message) {
        return parts.outbox().sentOneOf(mailbox, message.references())
                || parts.sent().sentOneOf(mailbox, message.references());
    }

    /** Everybody whom one of the rules might answer. */
    private static List<String> writers(RuleBook book, ReadMessage message) {
        return book.all().stream()
                .flatMap(rule -> rule.steps().stream())
                .flatMap(step -> step instanceof Step.Reply reply
                        ? Ledger.writers(message, reply.manner().to()).stream()
                        : Stream.empty())
                .distinct()
                .toList();
    }

    private Optional<MessageEntity> known(UUID mailbox, Read read) {
        return messages.findFirstByMailboxIdAndDigestOrderById(mailbox, read.digest());
    }

    private Map<String, MessageEntity> knownByDigest(UUID mailbox, List<Read> reads) {
        List<String> digests = reads.stream().map(Read::digest).toList();
        return messages.withDigests(mailbox, digests).stream()
                .collect(Collectors.toMap(MessageEntity::digest, m -> m, (first, again) -> first));
    }

    private MessageEntity store(MessageEntity entity, Fetched fetched) {
        MessageEntity saved = messages.saveAndFlush(entity);
        parts.octets().store(saved.id(), fetched.octets());
        return saved;
    }

    @Override
    public List<Missing> missing(UUID mailbox, Listing listing) {
        return parts.whereabouts().missing(mailbox, listing);
    }

    @Override
    public void found(long message, Fetched.Place place) {
        parts.whereabouts().moved(message, place);
    }

    @Override
    public void gone(UUID mailbox, List<Long> gone) {
        parts.whereabouts().gone(mailbox, gone);
    }

    @Override
    public List<String> folders(UUID mailbox) {
        return parts.whereabouts().folders(mailbox);
    }

    private ReadMessage noted(UUID mailbox, Read read) {
        Optional<String> id = read.message().messageId();
        if (id.isEmpty()) {
            return read.message().withNote("has no Message-ID");
        }
        return messages.countByMessageId(mailbox, id.get()) > 0
                ? read.message().withNote("has the Message-ID of another message")
                : read.message();
    }
}
