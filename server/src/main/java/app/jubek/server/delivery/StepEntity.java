package app.jubek.server.delivery;

import app.jubek.core.plan.Reason;
import app.jubek.core.step.StepState;
import jakarta.persistence.Column;
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

    @Enumerated(EnumType.STRING)
    private StepState state;

    private String note;
    private int attempts;
    private Instant plannedAt;
    private @Nullable Instant claimedAt;
    private @Nullable Instant settledAt;

    /** Times at which something is due or runs out are kept by the database's clock alone. */
    @Column(updatable = false)
    private Instant dueAt;

    private @Nullable UUID claimedBy;
    private @Nullable String reason;
    private String advice = "";
    private boolean letGo;
    private boolean perhapsTwice;

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

    StepEntity leaving(String to, String sender, String messageIdOut) {
        recipient = to;
        envelopeSender = sender;
        outgoingId = messageIdOut;
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
    }

    void held(Reason why, String words) {
        become(StepState.HELD, words);
        reason = why.name();
    }

    void claim(Instant at, UUID node) {
        state = state.become(StepState.SENDING);
        claimedAt = at;
        claimedBy = node;
        reason = null;
        advice = "";
        attempts++;
    }

    void because(@Nullable String code, String whatToDo) {
        reason = code;
        advice = whatToDo;
    }

    /** Set when an attempt broke off where nobody can know; it stays in the record. */
    void perhapsTwice() {
        perhapsTwice = true;
    }

    /** A person wants it done, whatever the limits say. */
    void letGo() {
        letGo = true;
        attempts = 0;
        settledAt = null;
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

    int ordinal() {
        return ordinal;
    }

    int position() {
        return position;
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

    Optional<String> reason() {
        return Optional.ofNullable(reason);
    }

    String advice() {
        return advice;
    }

    boolean isLetGo() {
        return letGo;
    }

    boolean isPerhapsTwice() {
        return perhapsTwice;
    }

    boolean isClaimedBy(UUID node, int attempt) {
        return state == StepState.SENDING && node.equals(claimedBy) && attempts == attempt;
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
