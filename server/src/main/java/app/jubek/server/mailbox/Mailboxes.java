package app.jubek.server.mailbox;

import app.jubek.core.address.MailAddress;
import app.jubek.core.people.OwnSide;
import app.jubek.core.plan.Trouble;
import app.jubek.core.safety.Limits;
import app.jubek.core.schedule.Opening;
import app.jubek.formats.statement.StatementJson;
import app.jubek.server.platform.JubekProperties;
import app.jubek.server.platform.Refused;
import app.jubek.server.platform.Secrets;
import app.jubek.server.signals.Signal;
import app.jubek.server.signals.Signals;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The mailboxes Jubek works for. */
@Service
public class Mailboxes {

    private final MailboxRepository mailboxes;
    private final Secrets secrets;
    private final Signals signals;
    private final Clock clock;

    Mailboxes(MailboxRepository mailboxes, Secrets secrets, Signals signals, Clock clock) {
        this.mailboxes = mailboxes;
        this.secrets = secrets;
        this.signals = signals;
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

    /** As whoever watches it has told last. */
    @Transactional(readOnly = true)
    public MailboxStatus status(UUID id) {
        return entity(id).status();
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
    @Transactional
    public void evidenceChanged(UUID id) {
        mailboxes.evidenceChanged(id);
        signals.sendSoon(new Signal(Signal.Topic.MESSAGES, id));
    }

    @Transactional(readOnly = true)
    public long evidenceEpoch(UUID id) {
        return mailboxes.evidenceEpoch(id);
    }

    /** Further hours by their names, and the days on which none begin; what is known of past mail is looked at anew. */
    @Transactional
    public void keepTimes(UUID id, Map<String, Opening> furtherHours, Set<LocalDate> closed) {
        entity(id).keep(StoredTimes.of(furtherHours, closed));
        evidenceChanged(id);
        signals.sendSoon(new Signal(Signal.Topic.MAILBOX, id));
    }

    /** Only one transaction at a time decides or sends for a mailbox; to be called inside one. */
    public void lock(UUID id) {
        mailboxes.lock(id).orElseThrow(Refused::notFound);
    }

    @Transactional
    public void report(UUID id, Watching watching, Optional<Trouble> trouble) {
        mailboxes.report(
                id,
                watching.name(),
                trouble.map(t -> StatementJson.write(t.cause()).toString()).orElse(null),
                trouble.flatMap(Trouble::advice).orElse(null),
                watching == Watching.WATCHING ? clock.instant() : null);
        signals.sendSoon(new Signal(Signal.Topic.MAILBOX, id));
    }

    /** Notes when the last new message came in. */
    @Transactional
    public void messageCame(UUID id, Instant at) {
        mailboxes.messageCame(id, at);
        signals.sendSoon(new Signal(Signal.Topic.MESSAGES, id));
    }

    /** When each mail server was last heard of, by the mailbox's address. */
    @Transactional(readOnly = true)
    public Map<String, Instant> lastContacts() {
        return mailboxes.findAll().stream()
                .filter(m -> m.status().lastContact().isPresent())
                .collect(Collectors.toMap(
                        m -> m.mailbox().own().identity().address(),
                        m -> m.status().lastContact().orElseThrow()));
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
                new Limits(
                        wanted.hourlyLimit().orElse(Limits.PRESET.mailbox()),
                        wanted.ruleLimit().orElse(Limits.PRESET.rule()),
                        wanted.destinationLimit().orElse(Limits.PRESET.destination()),
                        wanted.senderLimit().orElse(Limits.PRESET.sender())));
    }
}
