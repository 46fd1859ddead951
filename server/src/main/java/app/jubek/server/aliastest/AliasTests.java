package app.jubek.server.aliastest;

import app.jubek.core.address.MailAddress;
import app.jubek.core.message.ByteSource;
import app.jubek.core.outgoing.OwnLetter;
import app.jubek.core.safety.Clearance;
import app.jubek.core.safety.Cleared;
import app.jubek.core.safety.Outgoing;
import app.jubek.core.wording.Statement;
import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.platform.Refused;
import app.jubek.server.signals.Signal;
import app.jubek.server.signals.Signals;
import app.jubek.server.smtp.SmtpFault;
import app.jubek.server.smtp.SmtpSessions;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Sends a message to an own alias and waits for it to come in. No rule acts on it. */
@Service
public class AliasTests {
    private static final Duration PAUSE = Duration.ofSeconds(5);

    private final Mailboxes mailboxes;
    private final SmtpSessions sessions;
    private final AliasTestRepository tests;
    private final Signals signals;
    private final Clock clock;

    AliasTests(Mailboxes mailboxes, SmtpSessions sessions, AliasTestRepository tests, Signals signals, Clock clock) {
        this.mailboxes = mailboxes;
        this.sessions = sessions;
        this.tests = tests;
        this.signals = signals;
        this.clock = clock;
    }

    /**
     * @param fault why it could not be sent
     */
    public record AliasTest(
            UUID id, String address, Instant sentAt, Optional<Statement> fault, Optional<Instant> arrivedAt) {}

    /**
     * Outside any transaction: it talks with the mail server.
     *
     * @throws Refused when the address lies outside, or one was sent to it just now
     */
    public AliasTest send(UUID id, MailAddress alias) {
        Mailbox mailbox = mailboxes.find(id);
        MailAddress from = mailbox.own().identity();
        Cleared cleared = Clearance.look(new Outgoing.Inside(alias, Optional.of(from)), mailbox.own())
                .orElseThrow(() -> Refused.invalid(
                        alias.address() + " lies outside our own domains: a test goes to own addresses only.",
                        List.of()));
        Instant now = clock.instant();
        boolean justNow = latest(id).stream()
                .anyMatch(test ->
                        test.address().equals(alias.address()) && test.sentAt().isAfter(now.minus(PAUSE)));
        if (justNow) {
            throw Refused.invalid("A test went there a moment ago: wait for it.", List.of());
        }
        UUID test = UUID.randomUUID();
        String messageId = "<alias-test-" + test + "@" + from.domain() + ">";
        tests.save(new AliasTestEntity(test, id, alias.address(), messageId, now));
        byte[] bytes = OwnLetter.aliasTest(alias).bytes(from, alias, messageId, now.atZone(mailbox.zone()));
        fault(mailbox, cleared, ByteSource.of(bytes))
                .ifPresent(fault -> tests.failed(test, AliasTestEntity.stored(fault)));
        return tests.findById(test).map(AliasTestEntity::test).orElseThrow(Refused::notFound);
    }

    private Optional<Statement> fault(Mailbox mailbox, Cleared cleared, ByteSource bytes) {
        Outgoing test = cleared.outgoing();
        String sender = test.envelopeSender().map(MailAddress::address).orElse("");
        return SmtpFault.causeOf(
                () -> sessions.send(mailbox, sender, test.recipient().address(), bytes), mailbox.smtp());
    }

    /** Whether a message that came in is one of them; it is noted. */
    @Transactional
    public boolean arrived(UUID mailbox, String messageId) {
        boolean arrived = tests.arrived(mailbox, messageId, clock.instant()) > 0;
        if (arrived) {
            signals.sendSoon(new Signal(Signal.Topic.MAILBOX, mailbox));
        }
        return arrived;
    }

    /** The last ten, the newest first. */
    @Transactional(readOnly = true)
    public List<AliasTest> latest(UUID mailbox) {
        return tests.latest(mailbox, Limit.of(10)).stream()
                .map(AliasTestEntity::test)
                .toList();
    }
}
