package app.jubek.server.queue;

import app.jubek.core.plan.Advice;
import app.jubek.core.plan.StepNote;
import app.jubek.core.step.Release;
import app.jubek.core.step.Step;
import app.jubek.core.step.StepState;
import app.jubek.core.wording.Statement;
import app.jubek.formats.rulebook.RuleBookJson;
import app.jubek.formats.statement.StatementJson;
import app.jubek.server.step.StepStanding;
import app.jubek.server.step.Work;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.List;
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

    private int attempts;
    private Instant plannedAt;
    private @Nullable Instant claimedAt;
    private @Nullable Instant settledAt;

    /** Times at which something is due or runs out are kept by the database's clock alone. */
    @Column(updatable = false)
    private Instant dueAt;

    @Column(updatable = false)
    private @Nullable Instant leasedUntil;

    private @Nullable UUID claimedBy;
    private @Nullable String reason;

    @JdbcTypeCode(SqlTypes.JSON)
    private @Nullable String reasonArguments;

    @Enumerated(EnumType.STRING)
    private @Nullable Advice advice;

    private boolean approved;
    private boolean perhapsTwice;
    private boolean attended;
    private boolean afterReply;

    /** By the clock of the mailbox's work, like when it was planned. */
    private @Nullable Instant releaseAt;

    private @Nullable String releasedBy;
    private boolean edited;

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

    void become(StepState next) {
        state = state.become(next);
        if (kind != Work.BRING_BACK) {
            reason = null;
            reasonArguments = null;
        }
        advice = null;
    }

    /** Why a message is brought back stays with it, whatever stands in the way. */
    void retry(Statement trouble) {
        become(StepState.READY);
        if (kind != Work.BRING_BACK) {
            note(trouble);
        }
    }

    void become(StepState next, Statement why) {
        become(next);
        note(why);
    }

    /** What has become known of it, where it stands. */
    void note(Statement what) {
        reason = what.code();
        reasonArguments = StatementJson.write(what.arguments()).toString();
    }

    void settle(StepState next, Instant at) {
        become(next);
        settledAt = at;
    }

    void settle(StepState next, Statement why, Instant at) {
        become(next, why);
        settledAt = at;
    }

    void claim(Instant at, UUID node) {
        become(StepState.SENDING);
        claimedAt = at;
        claimedBy = node;
        attempts++;
    }

    void done(Instant at) {
        settle(StepState.SENT, at);
        if (perhapsTwice) {
            note(StepNote.PERHAPS_TWICE.with());
        } else if (kind == Work.FOLLOW_UP) {
            note(StepNote.NOBODY_DEALT_WITH_IT.with());
        }
    }

    /** It may go out from then on. */
    void release(Instant at) {
        releaseAt = at.isAfter(plannedAt) ? at : null;
    }

    /** A person wrote it anew: a message of theirs, for which a bounce goes to the mailbox. */
    void edit(String sender) {
        edited = true;
        envelopeSender = sender;
    }

    /** Of a message that is followed up: at once, whatever becomes of it. */
    void bringBackNow(Statement why) {
        kind = Work.BRING_BACK;
        releaseAt = null;
        note(why);
    }

    void advise(Advice whatToDo) {
        advice = whatToDo;
    }

    /** Set when an attempt broke off where nobody can know; it stays in the record. */
    void perhapsTwice() {
        perhapsTwice = true;
    }

    /** A person wants it done now, whatever the limits say. */
    void approve(String who) {
        approved = true;
        releasedBy = who;
        releaseAt = null;
        attempts = 0;
        settledAt = null;
    }

    /** A person has dealt with what became of it. */
    void attend() {
        attended = true;
    }

    /** It is done once its rule's answer has left. */
    void waitForReply() {
        afterReply = true;
    }

    UUID id() {
        return id;
    }

    UUID mailboxId() {
        return mailboxId;
    }

    /** What is withheld leaves no bytes behind. */
    boolean hasMail() {
        return outgoingId != null && state != StepState.WITHHELD;
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

    /** The rule's step that it carries out. */
    Step asked() {
        return RuleBookJson.readStep(detail);
    }

    String recipient() {
        return recipient;
    }

    String envelopeSender() {
        return envelopeSender;
    }

    /** Why it is where it is, where there is something to say. */
    Optional<Statement> because() {
        return Optional.ofNullable(reason)
                .map(code -> new Statement(
                        code,
                        Optional.ofNullable(reasonArguments)
                                .map(StatementJson::readArguments)
                                .orElse(List.of())));
    }

    Optional<Advice> advice() {
        return Optional.ofNullable(advice);
    }

    boolean isApproved() {
        return approved;
    }

    /** When it goes out by itself, where that is not at once. */
    Optional<Instant> releaseAt() {
        return Optional.ofNullable(releaseAt);
    }

    Optional<String> releasedBy() {
        return Optional.ofNullable(releasedBy);
    }

    boolean isEdited() {
        return edited;
    }

    /** It goes out later by itself, and nothing of it has been tried. */
    boolean waitsForItsTime() {
        return state == StepState.READY && releaseAt != null && attempts == 0;
    }

    /** A copy goes when the answer has gone. */
    Release release() {
        return kind.leaves() && kind != Work.ANSWER_COPY ? asked().release() : Release.Plain.AT_ONCE;
    }

    StepStanding standing(boolean unseen) {
        return new StepStanding(kind, state, because(), advice(), attended, waitsForItsTime(), hasMail(), unseen);
    }

    /** A copy that waits for the same answer to go out. */
    boolean isOf(StepEntity answer) {
        return afterReply && ruleId.equals(answer.ruleId) && (state == StepState.READY || state == StepState.HELD);
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
