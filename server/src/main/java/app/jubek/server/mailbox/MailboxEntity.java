package app.jubek.server.mailbox;

import app.jubek.core.address.MailAddress;
import app.jubek.core.people.OwnSide;
import app.jubek.core.plan.Advice;
import app.jubek.core.plan.Trouble;
import app.jubek.core.safety.Limits;
import app.jubek.core.schedule.Opening;
import app.jubek.formats.statement.StatementJson;
import app.jubek.server.platform.Secrets;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.annotations.DynamicUpdate;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;

@Entity
@DynamicUpdate
@Table(name = "mailbox")
class MailboxEntity {
    @Id
    private UUID id;

    private String address;
    private String displayName;

    @JdbcTypeCode(SqlTypes.ARRAY)
    private String[] addresses;

    @JdbcTypeCode(SqlTypes.ARRAY)
    private String[] domains;

    private String zone;

    @JdbcTypeCode(SqlTypes.ARRAY)
    private String[] opening;

    @JdbcTypeCode(SqlTypes.JSON)
    private @Nullable StoredTimes times;

    private String imapHost;
    private int imapPort;
    private String smtpHost;
    private int smtpPort;
    private String userName;
    private byte[] secret;
    private String secretKeyId;
    private int hourlyLimit;
    private int ruleLimit;
    private int destinationLimit;
    private int senderLimit;
    private int position;
    private String watching;

    @JdbcTypeCode(SqlTypes.JSON)
    private @Nullable String troubleCause;

    @Enumerated(EnumType.STRING)
    private @Nullable Advice troubleAdvice;

    private @Nullable Instant lastContact;
    private @Nullable Instant lastMessageAt;
    private @Nullable Instant restoredAt;
    private long evidenceEpoch;

    protected MailboxEntity() {}

    MailboxEntity(UUID id) {
        this.id = id;
        this.watching = Watching.STARTING.name();
    }

    void set(Mailbox mailbox, Secrets.Sealed password) {
        address = mailbox.own().identity().address();
        displayName = mailbox.own().identity().name();
        addresses = mailbox.own().addresses().stream().map(MailAddress::address).toArray(String[]::new);
        domains = mailbox.own().domains().toArray(String[]::new);
        zone = mailbox.zone().getId();
        opening = mailbox.opening().written().toArray(String[]::new);
        imapHost = mailbox.imap().host();
        imapPort = mailbox.imap().port();
        smtpHost = mailbox.smtp().host();
        smtpPort = mailbox.smtp().port();
        userName = mailbox.user();
        hourlyLimit = mailbox.limits().mailbox();
        ruleLimit = mailbox.limits().rule();
        destinationLimit = mailbox.limits().destination();
        senderLimit = mailbox.limits().sender();
        seal(password);
    }

    void moveTo(int place) {
        position = place;
    }

    Mailbox mailbox() {
        List<MailAddress> own = Arrays.stream(addresses).map(MailAddress::of).toList();
        OwnSide side = new OwnSide(MailAddress.of(address).named(displayName), own, List.of(domains));
        return new Mailbox(
                id,
                side,
                opening(),
                new MailServer(imapHost, imapPort),
                new MailServer(smtpHost, smtpPort),
                userName,
                new Limits(hourlyLimit, ruleLimit, destinationLimit, senderLimit));
    }

    private Opening opening() {
        StoredTimes more = Optional.ofNullable(times).orElse(StoredTimes.NONE);
        return Opening.of(ZoneId.of(zone), List.of(opening)).with(more.closedDays(), more.furtherHours());
    }

    void keep(StoredTimes other) {
        times = other;
    }

    Secrets.Sealed password() {
        return new Secrets.Sealed(secretKeyId, secret);
    }

    void seal(Secrets.Sealed password) {
        secret = password.bytes();
        secretKeyId = password.keyId();
    }

    UUID id() {
        return id;
    }

    MailboxStatus status() {
        return new MailboxStatus(
                Watching.valueOf(watching),
                Optional.ofNullable(troubleCause)
                        .map(cause -> new Trouble(StatementJson.read(cause), Optional.ofNullable(troubleAdvice))),
                Optional.ofNullable(lastContact),
                Optional.ofNullable(lastMessageAt));
    }
}
