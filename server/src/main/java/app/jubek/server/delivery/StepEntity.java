package app.jubek.server.delivery;

import app.jubek.core.step.StepState;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;

@Entity
@Table(name = "step")
class StepEntity {
    @Id
    private UUID id;

    private UUID mailboxId;
    private long messageId;
    private String ruleId;
    private int ruleVersion;
    private String ruleName;
    private int ordinal;
    private int position;

    @Enumerated(EnumType.STRING)
    private Work kind;

    @JdbcTypeCode(SqlTypes.JSON)
    private String detail;

    private String recipient = "";
    private String envelopeSender = "";
    private @Nullable String outgoingId;
    private byte @Nullable [] octets;

    @Enumerated(EnumType.STRING)
    private StepState state;

    private String note;
    private int attempts;
    private Instant plannedAt;
    private @Nullable Instant claimedAt;
    private @Nullable Instant settledAt;
    private Instant dueAt;
    private @Nullable Instant leasedUntil;

    protected StepEntity() {}

    StepEntity(UUID mailboxId, long messageId, Work kind, int position, String detail, Instant plannedAt) {
        this.id = UUID.randomUUID();
        this.mailboxId = mailboxId;
        this.messageId = messageId;
        this.kind = kind;
        this.position = position;
        this.detail = detail;
        this.plannedAt = plannedAt;
        this.dueAt = Instant.EPOCH;
        this.state = StepState.PLANNED;
        this.note = "";
    }

    StepEntity by(String rule, int version, String name, int stepOrdinal) {
        ruleId = rule;
        ruleVersion = version;
        ruleName = name;
        ordinal = stepOrdinal;
        return this;
    }

    StepEntity leaving(String to, String sender, String messageIdOut, byte[] frozen) {
        recipient = to;
        envelopeSender = sender;
        outgoingId = messageIdOut;
        octets = frozen;
        return this;
    }

    StepEntity to(String to) {
        recipient = to;
        return this;
    }

    void become(StepState next, String why) {
        state = state.become(next);
        note = why;
    }

    void settle(StepState next, String why, Instant at) {
        become(next, why);
        settledAt = at;
        leasedUntil = null;
    }

    void claim(Instant at, Instant until) {
        state = state.become(StepState.SENDING);
        claimedAt = at;
        leasedUntil = until;
        attempts++;
    }

    void dueAt(Instant when) {
        dueAt = when;
        leasedUntil = null;
    }

    void tryAgain() {
        attempts = 0;
        settledAt = null;
        dueAt(Instant.EPOCH);
    }

    UUID id() {
        return id;
    }

    UUID mailboxId() {
        return mailboxId;
    }

    long messageId() {
        return messageId;
    }

    String ruleId() {
        return ruleId;
    }

    int ruleVersion() {
        return ruleVersion;
    }

    String ruleName() {
        return ruleName;
    }

    Work kind() {
        return kind;
    }

    String detail() {
        return detail;
    }

    String recipient() {
        return recipient;
    }

    String envelopeSender() {
        return envelopeSender;
    }

    Optional<String> outgoingId() {
        return Optional.ofNullable(outgoingId);
    }

    byte[] octets() {
        return octets == null ? new byte[0] : octets;
    }

    StepState state() {
        return state;
    }

    String note() {
        return note;
    }

    int attempts() {
        return attempts;
    }

    Instant plannedAt() {
        return plannedAt;
    }

    Optional<Instant> settledAt() {
        return Optional.ofNullable(settledAt);
    }
}
