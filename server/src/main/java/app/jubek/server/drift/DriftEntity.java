package app.jubek.server.drift;

import app.jubek.core.drift.Drift;
import app.jubek.core.rule.RuleId;
import app.jubek.core.wording.Statement;
import app.jubek.formats.rulebook.RuleBookJson;
import app.jubek.formats.statement.StatementJson;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A change in the mail of a rule, as it was last found. */
@Entity
@Table(name = "drift")
class DriftEntity {
    private static final JsonMapper JSON = new JsonMapper();

    @Id
    private UUID id;

    private UUID mailboxId;
    private String ruleId;
    private int ruleVersion;
    private String key;

    @Enumerated(EnumType.STRING)
    private Drift.Sort sort;

    @JdbcTypeCode(SqlTypes.JSON)
    private String cause;

    @JdbcTypeCode(SqlTypes.JSON)
    private String effect;

    @JdbcTypeCode(SqlTypes.JSON)
    private String changed;

    @JdbcTypeCode(SqlTypes.ARRAY)
    private Long[] messages;

    private Instant foundAt;
    private @Nullable Instant dismissedAt;
    private @Nullable String dismissedBy;

    protected DriftEntity() {}

    /**
     * @param key by which the same change of the same rule is known again
     */
    DriftEntity(UUID mailboxId, RuleId rule, String key) {
        this.id = UUID.randomUUID();
        this.mailboxId = mailboxId;
        this.ruleId = rule.value();
        this.key = key;
    }

    /**
     * @param since the first day of the late messages
     * @param shown the latest of those that show it, the newest first
     */
    DriftEntity found(Drift drift, LocalDate since, List<Long> shown, Instant now) {
        ruleVersion = drift.rule().version();
        sort = drift.sort();
        cause = StatementJson.write(drift.cause(since)).toString();
        effect = StatementJson.write(drift.effect()).toString();
        changed = RuleBookJson.write(drift.changed()).toString();
        messages = shown.toArray(Long[]::new);
        foundAt = now;
        return this;
    }

    void dismiss(String who, Instant now) {
        dismissedAt = now;
        dismissedBy = who;
    }

    UUID id() {
        return id;
    }

    RuleId rule() {
        return new RuleId(ruleId);
    }

    int ruleVersion() {
        return ruleVersion;
    }

    String key() {
        return key;
    }

    Drift.Sort sort() {
        return sort;
    }

    Statement cause() {
        return StatementJson.read(cause);
    }

    Statement effect() {
        return StatementJson.read(effect);
    }

    JsonNode changed() {
        return JSON.readTree(changed);
    }

    List<Long> messages() {
        return List.of(messages);
    }

    boolean isDismissed() {
        return dismissedAt != null;
    }
}
