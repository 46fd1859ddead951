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
    private ComposedReplies.Progress progress;

    private int attempts;

    @Column(updatable = false)
    private Instant dueAt;

    @JdbcTypeCode(SqlTypes.JSON)
    private @Nullable String because;

    @JdbcTypeCode(SqlTypes.JSON)
    private String sentences;

    /** The text that the rule would send by itself. */
    private String reply;

    protected ComposedReplyEntity() {}

    UUID step() {
        return stepId;
    }

    ComposedReplies.Progress progress() {
        return progress;
    }

    int attempts() {
        return attempts;
    }

    String reply() {
        return reply;
    }

    void composed(ComposedReply composed, String replyText) {
        progress = ComposedReplies.Progress.COMPOSED;
        sentences = ComposingJson.written(composed.sentences()).toString();
        reply = replyText;
        because = null;
    }

    /** There is none yet, or will be none. */
    void failed(Statement why, boolean forGood) {
        progress = forGood ? ComposedReplies.Progress.NOT_COMPOSED : ComposedReplies.Progress.BEING_COMPOSED;
        because = StatementJson.write(why).toString();
    }

    void setAside() {
        progress = ComposedReplies.Progress.SET_ASIDE;
    }

    void askAgain() {
        progress = ComposedReplies.Progress.BEING_COMPOSED;
        attempts = 0;
    }

    List<Sentence> sentences() {
        return ComposingJson.sentences(JSON.readTree(sentences));
    }

    Optional<Statement> because() {
        return Optional.ofNullable(because).map(StatementJson::read);
    }
}
