package app.jubek.server.testmail;

import app.jubek.core.address.MailAddress;
import app.jubek.core.decide.Decision;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.realtest.TestMessage;
import app.jubek.core.rule.RuleId;
import app.jubek.core.safety.HopMark;
import app.jubek.core.wording.Statement;
import app.jubek.formats.statement.StatementJson;
import app.jubek.server.aliastest.AliasTests;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.signals.Signal;
import app.jubek.server.signals.Signals;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Tests that were sent as real messages, and what was seen of them since. */
@Service
public class TestMail {
    /** Whatever comes later is mail like any other. */
    private static final Duration AWAITED = Duration.ofHours(1);

    private static final Duration KEPT = Duration.ofDays(30);

    private final RealTestRepository tests;
    private final SightingRepository sightings;
    private final AliasTests aliasTests;
    private final Mailboxes mailboxes;
    private final Signals signals;
    private final Clock clock;

    TestMail(
            RealTestRepository tests,
            SightingRepository sightings,
            AliasTests aliasTests,
            Mailboxes mailboxes,
            Signals signals,
            Clock clock) {
        this.tests = tests;
        this.sightings = sightings;
        this.aliasTests = aliasTests;
        this.mailboxes = mailboxes;
        this.signals = signals;
        this.clock = clock;
    }

    /**
     * What came of a test in another mailbox.
     *
     * @param mailbox that got it
     */
    public record Sighting(UUID test, UUID mailbox, String messageId, String sender, String subject, Instant at) {}

    /**
     * What a message that came in tests.
     *
     * @param id empty where it is no test
     * @param rules that are judged as if they were on
     */
    public record Tested(Optional<UUID> id, Set<RuleId> rules) {
        private static final Tested NOTHING = new Tested(Optional.empty(), Set.of());

        public boolean isTest() {
            return id.isPresent();
        }
    }

    /** Notes one that is about to be sent; those of long ago are forgotten. */
    @Transactional
    public void sending(SentTest test) {
        tests.forget(test.mailbox(), clock.instant().minus(KEPT));
        tests.save(new RealTestEntity(test));
    }

    @Transactional
    public void failed(SentTest test, Statement fault) {
        tests.failed(test.id(), StatementJson.write(fault).toString());
        told(test.mailbox());
    }

    /** Whether a message is one of ours that says only that it arrived; that is noted, and it is nothing to act on. */
    @Transactional
    public boolean onlyArrives(UUID mailbox, ReadMessage message) {
        Optional<String> id = message.messageId();
        return id.filter(known -> aliasTests.arrived(mailbox, known)).isPresent()
                || id.filter(known -> mayBeOfTest(message, known) && isSeen(mailbox, message, known))
                        .isPresent();
    }

    /** Most mail shows at a glance that it is none of ours. */
    private static boolean mayBeOfTest(ReadMessage message, String id) {
        return message.has(HopMark.FIELD)
                || Stream.concat(Stream.of(id), message.references().stream()).anyMatch(TestMessage::isMessageId);
    }

    private boolean isSeen(UUID mailbox, ReadMessage message, String id) {
        String sender = message.sender().map(MailAddress::key).orElse("");
        Optional<RealTestEntity> test = tests.elsewhere(
                mailbox,
                id,
                sender,
                mailboxes.find(mailbox).own().keys(),
                clock.instant().minus(AWAITED));
        if (test.isEmpty() || sightings.existsByMailboxIdAndMessageId(mailbox, id)) {
            return false;
        }
        SentTest sent = test.get().sent();
        String from = message.sender().map(MailAddress::address).orElse("");
        sightings.save(
                new SightingEntity(new Sighting(sent.id(), mailbox, id, from, message.subject(), clock.instant())));
        told(sent.mailbox());
        return true;
    }

    /** The test that a message is which just came in to the mailbox that it was sent to. */
    @Transactional(readOnly = true)
    public Tested tested(UUID mailbox, ReadMessage message) {
        return message.messageId()
                .filter(TestMessage::isMessageId)
                .flatMap(id -> tests.awaited(mailbox, id, clock.instant().minus(AWAITED)))
                .map(test -> new Tested(Optional.of(test.id()), test.rules()))
                .orElse(Tested.NOTHING);
    }

    /**
     * @param message as it was stored
     */
    @Transactional
    public void decided(Tested test, long message, Decision decision) {
        test.id().flatMap(tests::findById).ifPresent(entity -> {
            entity.cameIn(message, clock.instant(), decision);
            told(entity.sent().mailbox());
        });
    }

    /** Whether a message was sent to test a rule, which acts on it even while it is paused. */
    @Transactional(readOnly = true)
    public boolean isFor(long message, RuleId rule) {
        return tests.isFor(message, rule.value());
    }

    /** The newest first. */
    @Transactional(readOnly = true)
    public List<SentTest> latest(UUID mailbox, int limit) {
        return tests.latest(mailbox, Limit.of(limit)).stream()
                .map(RealTestEntity::sent)
                .toList();
    }

    @Transactional(readOnly = true)
    public List<SentTest> find(UUID mailbox, Collection<UUID> ids) {
        return tests.all(mailbox, ids).stream().map(RealTestEntity::sent).toList();
    }

    @Transactional(readOnly = true)
    public int countSince(UUID mailbox, Instant since) {
        return tests.countByMailboxIdAndSentAtAfter(mailbox, since);
    }

    @Transactional(readOnly = true)
    public List<Sighting> sightings(Collection<UUID> ids) {
        return ids.isEmpty()
                ? List.of()
                : sightings.of(ids).stream().map(SightingEntity::sighting).toList();
    }

    /** With their trials, when those are erased for a person whom they name. */
    @Transactional
    public void erase(UUID mailbox, Collection<UUID> trials) {
        if (!trials.isEmpty()) {
            tests.erase(mailbox, trials, clock.instant().minus(AWAITED));
            told(mailbox);
        }
    }

    @Transactional
    public void cleaned(SentTest test) {
        tests.cleaned(test.id(), clock.instant());
        told(test.mailbox());
    }

    private void told(UUID mailbox) {
        signals.sendSoon(new Signal(Signal.Topic.TRIALS, mailbox));
    }
}
