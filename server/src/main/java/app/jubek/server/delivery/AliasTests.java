package app.jubek.server.delivery;

import app.jubek.core.address.MailAddress;
import app.jubek.core.message.Octets;
import app.jubek.core.outgoing.AliasTestMessage;
import app.jubek.core.safety.Clearance;
import app.jubek.core.safety.Cleared;
import app.jubek.core.safety.Outgoing;
import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.mailbox.ServerTrouble;
import app.jubek.server.platform.Refused;
import java.io.IOException;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Sends a message to an own alias and waits for it to come in. No rule acts on it. */
@Service
public class AliasTests {
    private static final Duration PAUSE = Duration.ofSeconds(5);

    private final Mailboxes mailboxes;
    private final SmtpSessions sessions;
    private final JdbcClient jdbc;
    private final Clock clock;

    AliasTests(Mailboxes mailboxes, SmtpSessions sessions, JdbcClient jdbc, Clock clock) {
        this.mailboxes = mailboxes;
        this.sessions = sessions;
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /**
     * @param fault why it could not be sent; empty when it was
     */
    public record AliasTest(UUID id, String address, Instant sentAt, String fault, Optional<Instant> arrivedAt) {}

    /**
     * Outside any transaction: it talks with the mail server.
     *
     * @throws Refused when the address lies outside, or one was sent to it just now
     */
    public AliasTest send(UUID id, MailAddress alias) {
        Mailbox mailbox = mailboxes.find(id);
        MailAddress from = mailbox.own().identity();
        Cleared cleared = Clearance.look(new Outgoing.SelfTest(alias, Optional.of(from)), mailbox.own())
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
        jdbc.sql(
                        "insert into alias_test (id, mailbox_id, address, message_id, sent_at, fault) values (?, ?, ?, ?, ?, '')")
                .params(test, id, alias.address(), messageId, Timestamp.from(now))
                .update();
        byte[] octets = AliasTestMessage.octets(from, alias, messageId, now.atZone(mailbox.zone()));
        fault(mailbox, cleared, Octets.of(octets))
                .ifPresent(fault -> jdbc.sql("update alias_test set fault = ? where id = ?")
                        .params(fault, test)
                        .update());
        return latest(id).stream().filter(t -> t.id().equals(test)).findFirst().orElseThrow(Refused::notFound);
    }

    private Optional<String> fault(Mailbox mailbox, Cleared cleared, Octets octets) {
        Outgoing test = cleared.outgoing();
        String sender = test.envelopeSender().map(MailAddress::address).orElse("");
        try {
            sessions.send(mailbox, sender, test.recipient().address(), octets);
            return Optional.empty();
        } catch (IOException broken) {
            return Optional.of(ServerTrouble.words(broken, mailbox.smtp()));
        } catch (SmtpFault refused) {
            return Optional.of(String.valueOf(refused.getMessage()));
        }
    }

    /** Whether a message that came in is one of them; it is noted. */
    @Transactional
    public boolean arrived(UUID mailbox, String messageId) {
        return jdbc.sql("update alias_test set arrived_at = ? where mailbox_id = ? and message_id = ?")
                        .params(Timestamp.from(clock.instant()), mailbox, messageId)
                        .update()
                > 0;
    }

    /** The last ten, the newest first. */
    @Transactional(readOnly = true)
    public List<AliasTest> latest(UUID mailbox) {
        return jdbc.sql("select id, address, sent_at, fault, arrived_at from alias_test where mailbox_id = ?"
                        + " order by sent_at desc limit 10")
                .param(mailbox)
                .query((row, n) -> new AliasTest(
                        row.getObject(1, UUID.class),
                        row.getString(2),
                        row.getTimestamp(3).toInstant(),
                        row.getString(4),
                        Optional.ofNullable(row.getTimestamp(5)).map(Timestamp::toInstant)))
                .list();
    }
}
