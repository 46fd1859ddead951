package app.jubek.server.composing;

import app.jubek.core.composing.ComposedReply;
import app.jubek.core.composing.Sentence;
import app.jubek.core.wording.Statement;
import app.jubek.formats.composing.ComposingJson;
import app.jubek.formats.statement.StatementJson;
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
import tools.jackson.databind.json.JsonMapper;

/** What was composed for one reply that waits, or why nothing was. */
@Entity
@Table(name = "composed_reply")
class ComposedReplyEntity {
    private static final JsonMapper JSON = JsonMapper.builder().build();

    @Id
    private UUID stepId;

    private UUID mailboxId;

    @Enumerated(EnumType.STRING)
    private State state;

    private int attempts;

    @Column(updatable = false)
    private Instant dueAt;

    private @Nullable String reason;

    @JdbcTypeCode(SqlTypes.JSON)
    private @Nullable String reasonArguments;

    @JdbcTypeCode(SqlTypes.JSON)
    private String sentences;

    /** The text that the rule would send by itself. */
    private String reply;

    protected ComposedReplyEntity() {}

    /** How far it is. */
    enum State {
        ASKED,
        COMPOSED,
        FAILED,
        /** A person took the reply as its rule has it. */
        SET_ASIDE
    }

    UUID step() {
        return stepId;
    }

    State state() {
        return state;
    }

    int attempts() {
        return attempts;
    }

    String reply() {
        return reply;
    }

    void composed(ComposedReply composed, String replyText) {
        state = State.COMPOSED;
        sentences = ComposingJson.written(composed.sentences()).toString();
        reply = replyText;
        reason = null;
        reasonArguments = null;
    }

    /** There is none yet, or will be none. */
    void failed(Statement why, boolean forGood) {
        state = forGood ? State.FAILED : State.ASKED;
        reason = why.code();
        reasonArguments = StatementJson.write(why.arguments()).toString();
    }

    void setAside() {
        state = State.SET_ASIDE;
    }

    void askAgain() {
        state = State.ASKED;
        attempts = 0;
    }

    List<Sentence> sentences() {
        return ComposingJson.sentences(JSON.readTree(sentences));
    }

    Optional<Statement> because() {
        return Optional.ofNullable(reason)
                .map(code -> new Statement(
                        code,
                        Optional.ofNullable(reasonArguments)
                                .map(StatementJson::readArguments)
                                .orElse(List.of())));
    }
}
