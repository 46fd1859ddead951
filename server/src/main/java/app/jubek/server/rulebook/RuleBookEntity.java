package app.jubek.server.rulebook;

import app.jubek.core.wording.Statement;
import app.jubek.formats.statement.StatementJson;
import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

@Entity
@Table(name = "rule_book")
class RuleBookEntity {
    @EmbeddedId
    private Key key;

    @JdbcTypeCode(SqlTypes.JSON)
    private String document;

    private Instant savedAt;
    private String savedBy;

    @JdbcTypeCode(SqlTypes.JSON)
    private String notes;

    protected RuleBookEntity() {}

    RuleBookEntity(Key key, String document, Instant savedAt, String savedBy, List<Statement> notes) {
        this.key = key;
        this.document = document;
        this.savedAt = savedAt;
        this.savedBy = savedBy;
        this.notes = StatementJson.write(notes).toString();
    }

    @Embeddable
    record Key(UUID mailboxId, int version) {}

    int version() {
        return key.version();
    }

    String document() {
        return document;
    }

    Instant savedAt() {
        return savedAt;
    }

    List<Statement> notes() {
        return StatementJson.readStatements(notes);
    }

    String savedBy() {
        return savedBy;
    }
}
