package app.jubek.server.mailbox;

import app.jubek.core.address.MailAddress;
import app.jubek.core.people.OwnSide;
import app.jubek.core.schedule.Opening;
import app.jubek.server.platform.JubekProperties;
import app.jubek.server.platform.Refused;
import app.jubek.server.platform.Secrets;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The mailboxes Jubek works for. */
@Service
public class Mailboxes {
    private static final String NOT_WATCHED =
            "No running Jubek watches this mailbox just now. New mail waits at the mail server; if it stays so, start Jubek"
                    + " again and look into its log.";
    private static final int HOURLY_LIMIT = 200;
    private static final int RULE_LIMIT = 100;

    private final MailboxRepository mailboxes;
    private final Secrets secrets;
    private final JdbcClient jdbc;
    private final Clock clock;

    Mailboxes(MailboxRepository mailboxes, Secrets secrets, JdbcClient jdbc, Clock clock) {
        this.mailboxes = mailboxes;
        this.secrets = secrets;
        this.jdbc = jdbc;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    public Mailbox find(UUID id) {
        return entity(id).mailbox();
    }

    @Transactional(readOnly = true)
    public List<Mailbox> all() {
        return mailboxes.findAllByOrderByPositionAscAddressAsc().stream()
                .map(MailboxEntity::mailbox)
                .toList();
    }

    /** The mailbox that writes as an address. */
    @Transactional(readOnly = true)
    public Optional<Mailbox> writingAs(MailAddress address) {
        return mailboxes.findByAddress(address.address()).map(MailboxEntity::mailbox);
    }

    @Transactional(readOnly = true)
    public MailboxStatus status(UUID id) {
        MailboxStatus told = entity(id).status();
        boolean watched = jdbc.sql("select exists (select 1 from watch_lease where mailbox_id = ? and until > now())")
                .param(id)
                .query(Boolean.class)
                .single();
        return watched || told.watching() != Watching.WATCHING
                ? told
                : new MailboxStatus(Watching.NOT_WATCHED, NOT_WATCHED, told.lastContact(), told.lastMessageAt());
    }

    /** The password, opened for one connection. */
    @Transactional(readOnly = true)
    public String password(UUID id) {
        return secrets.open(entity(id).password());
    }

    /**
     * Makes or updates a mailbox that the settings name.
     *
     * @param position among the mailboxes, from 0
     */
    @Transactional
    public UUID ensure(JubekProperties.MailboxSettings wanted, int position) {
        MailboxEntity entity = mailboxes
                .findByAddress(MailAddress.of(wanted.address()).address())
                .orElseGet(() -> new MailboxEntity(UUID.randomUUID()));
        entity.set(mailbox(entity.id(), wanted), secrets.seal(wanted.password()));
        entity.moveTo(position);
        return mailboxes.save(entity).id();
    }

    /** Seals passwords anew that were sealed with an older key; returns how many. */
    @Transactional
    public int sealAnew() {
        List<MailboxEntity> old = mailboxes.findAll().stream()
                .filter(m -> !m.password().keyId().equals(secrets.currentKey()))
                .toList();
        old.forEach(m -> m.seal(secrets.seal(secrets.open(m.password()))));
        return old.size();
    }

    /** Counts what makes the evidence in memory out of date: mail that left it. */
    public void evidenceChanged(UUID id) {
        jdbc.sql("update mailbox set evidence_epoch = evidence_epoch + 1 where id = ?")
                .param(id)
                .update();
    }

    public long evidenceEpoch(UUID id) {
        return jdbc.sql("select evidence_epoch from mailbox where id = ?")
                .param(id)
                .query(Long.class)
                .single();
    }

    /** Only one transaction at a time decides or sends for a mailbox; to be called inside one. */
    public void lock(UUID id) {
        jdbc.sql("select 1 from mailbox where id = ? for update")
                .param(id)
                .query(Integer.class)
                .single();
    }

    @Transactional
    void report(UUID id, Watching watching, String detail) {
        boolean heard = watching == Watching.WATCHING;
        jdbc.sql("update mailbox set watching = ?, watching_detail = ?, last_contact = coalesce(?, last_contact)"
                        + " where id = ?")
                .params(watching.name(), detail, heard ? Timestamp.from(clock.instant()) : null, id)
                .update();
    }

    /** Notes when the last new message came in. */
    public void messageCame(UUID id, Instant at) {
        jdbc.sql("update mailbox set last_message_at = greatest(?, last_message_at) where id = ?")
                .params(Timestamp.from(at), id)
                .update();
    }

    private MailboxEntity entity(UUID id) {
        return mailboxes.findById(id).orElseThrow(Refused::notFound);
    }

    private static Mailbox mailbox(UUID id, JubekProperties.MailboxSettings wanted) {
        MailAddress identity = MailAddress.of(wanted.address()).named(wanted.name());
        List<MailAddress> addresses =
                wanted.addresses().stream().map(MailAddress::of).toList();
        ZoneId zone = ZoneId.of(wanted.zone());
        return new Mailbox(
                id,
                new OwnSide(identity, addresses, wanted.domains()),
                wanted.opening().map(spans -> Opening.of(zone, spans)).orElse(Opening.usual(zone)),
                new MailServer(wanted.imapHost(), wanted.imapPort()),
                new MailServer(wanted.smtpHost(), wanted.smtpPort()),
                wanted.user(),
                wanted.hourlyLimit().orElse(HOURLY_LIMIT),
                wanted.ruleLimit().orElse(RULE_LIMIT));
    }
}
