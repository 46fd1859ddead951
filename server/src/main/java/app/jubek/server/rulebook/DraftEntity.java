package app.jubek.server.rulebook;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

@Entity
@Table(name = "draft")
class DraftEntity {
    @EmbeddedId
    private Key key;

    @JdbcTypeCode(SqlTypes.JSON)
    private String document;

    private Instant savedAt;

    protected DraftEntity() {}

    @Embeddable
    record Key(UUID accountId, UUID mailboxId, String ruleId) {}

    String rule() {
        return key.ruleId();
    }

    String document() {
        return document;
    }

    Instant savedAt() {
        return savedAt;
    }
}
