package app.jubek.server.catchup;

import app.jubek.core.catchup.Terms;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.rule.RuleId;
import app.jubek.core.wording.Statement;
import app.jubek.formats.statement.StatementJson;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;

@Entity
@Table(name = "catch_up")
class CatchUpEntity {
    @Id
    private UUID id;

    private UUID mailboxId;

    @JdbcTypeCode(SqlTypes.ARRAY)
    private String[] rules;

    /** Of the rules, as they were looked over; 0 for one that is paused or gone. */
    @JdbcTypeCode(SqlTypes.ARRAY)
    private Integer[] versions;

    @JdbcTypeCode(SqlTypes.ARRAY)
    private String[] folders;

    private boolean subfolders;
    private int days;
    private boolean handOvers;
    private boolean replies;

    @Enumerated(EnumType.STRING)
    private @Nullable Every repeats;

    @Enumerated(EnumType.STRING)
    private CatchUpState state;

    @JdbcTypeCode(SqlTypes.JSON)
    private @Nullable String note;

    private int readDone;
    private int readOf;
    private Instant before;
    private Instant afterReceived;
    private long afterId;
    private int messages;
    private int messagesOf;
    private int failed;
    private Instant nextAt;
    private String begunBy;
    private Instant begunAt;
    private @Nullable Instant endedAt;

    protected CatchUpEntity() {}

    /**
     * @param days how far back it reaches
     */
    CatchUpEntity(UUID mailboxId, List<String> rules, List<String> folders, boolean subfolders, int days) {
        this.id = UUID.randomUUID();
        this.mailboxId = mailboxId;
        this.rules = rules.toArray(String[]::new);
        this.versions = new Integer[0];
        this.folders = folders.toArray(String[]::new);
        this.subfolders = subfolders;
        this.days = days;
    }

    CatchUpEntity begin(String who, Instant now) {
        begunBy = who;
        begunAt = now;
        state = CatchUpState.READING;
        fromTheBeginning(now);
        return this;
    }

    private void fromTheBeginning(Instant now) {
        before = now;
        afterReceived = Instant.EPOCH;
        afterId = 0;
        messages = 0;
        nextAt = now;
    }

    void reading(int done, int of) {
        readDone = done;
        readOf = of;
        note = null;
    }

    /** All folders are read; one that is done again goes on with its messages. */
    void read() {
        note = null;
        state = state == CatchUpState.READING ? CatchUpState.READY : state;
    }

    /**
     * A person has looked it over and wants it.
     *
     * @param of messages with which something is to be done
     */
    void start(Terms terms, Optional<Every> every, RuleBook book, int of) {
        handOvers = terms.handOvers();
        replies = terms.replies();
        repeats = every.orElse(null);
        versions = versions(book);
        messagesOf = messages + of;
        state = CatchUpState.RUNNING;
    }

    void pause(Statement why) {
        state = CatchUpState.PAUSED;
        note = StatementJson.write(why).toString();
    }

    void pause() {
        state = CatchUpState.PAUSED;
    }

    /**
     * @param changed its rules are not those that were looked over
     */
    void resume(boolean changed) {
        note = null;
        state = changed ? CatchUpState.READY : CatchUpState.RUNNING;
    }

    void stop(Instant now) {
        state = CatchUpState.STOPPED;
        note = null;
        endedAt = now;
    }

    /** All messages are gone through: it is over, or waits for its next time. */
    void end(Instant now) {
        note = null;
        endedAt = now;
        if (repeats == null) {
            state = CatchUpState.DONE;
        } else {
            state = CatchUpState.WAITING;
            nextAt = now.plus(repeats.pause());
        }
    }

    /** Once more, over what has come since, too. */
    void again(Instant now) {
        fromTheBeginning(now);
        state = CatchUpState.RUNNING;
        messagesOf = 0;
    }

    void passed(Instant received, long message) {
        afterReceived = received;
        afterId = message;
        note = null;
    }

    void did() {
        messages++;
    }

    void failed() {
        failed++;
    }

    void waits(Statement why, Duration pause, Instant now) {
        note = StatementJson.write(why).toString();
        nextAt = now.plus(pause);
    }

    void putOff(Duration pause, Instant now) {
        nextAt = now.plus(pause);
    }

    boolean isPast(Instant received, long message) {
        int order = received.compareTo(afterReceived);
        return order < 0 || order == 0 && message <= afterId;
    }

    boolean isChanged(RuleBook book) {
        return !Arrays.equals(versions, versions(book));
    }

    private Integer[] versions(RuleBook book) {
        return rules().stream()
                .map(rule -> book.find(rule).filter(Rule::on).map(Rule::version).orElse(0))
                .toArray(Integer[]::new);
    }

    UUID id() {
        return id;
    }

    UUID mailboxId() {
        return mailboxId;
    }

    List<RuleId> rules() {
        return Arrays.stream(rules).map(RuleId::new).toList();
    }

    List<String> folders() {
        return List.of(folders);
    }

    boolean withSubfolders() {
        return subfolders;
    }

    int days() {
        return days;
    }

    Terms terms() {
        return new Terms(handOvers, replies);
    }

    Optional<Every> repeats() {
        return Optional.ofNullable(repeats);
    }

    CatchUpState state() {
        return state;
    }

    Optional<Statement> note() {
        return Optional.ofNullable(note).map(StatementJson::read);
    }

    int readDone() {
        return readDone;
    }

    int readOf() {
        return readOf;
    }

    /** Mail that came in before this is old; later mail is for the rules as it comes. */
    Instant before() {
        return before;
    }

    int messages() {
        return messages;
    }

    int messagesOf() {
        return messagesOf;
    }

    int failures() {
        return failed;
    }

    Instant nextAt() {
        return nextAt;
    }

    String begunBy() {
        return begunBy;
    }

    Instant begunAt() {
        return begunAt;
    }

    Optional<Instant> endedAt() {
        return Optional.ofNullable(endedAt);
    }
}
