package app.jubek.server.rehearsal;

import app.jubek.core.rule.RuleBook;
import app.jubek.formats.rulebook.RuleBookJson;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** A rehearsal that was begun and not closed: what is needed to begin it anew. */
@Entity
@Table(name = "open_rehearsal")
class OpenRehearsalEntity {
    @Id
    private UUID id;

    private UUID mailboxId;
    private String words;

    @JdbcTypeCode(SqlTypes.JSON)
    private String document;

    private int days;

    @Enumerated(EnumType.STRING)
    private Rehearsals.State state;

    private Instant begunAt;
    private String begunBy;

    protected OpenRehearsalEntity() {}

    /**
     * @param words what is rehearsed, as a person says it
     */
    OpenRehearsalEntity(UUID mailboxId, String words, RuleBook rules, int days, Instant begunAt, String begunBy) {
        this.id = UUID.randomUUID();
        this.mailboxId = mailboxId;
        this.words = words;
        this.document = RuleBookJson.write(rules).toString();
        this.days = days;
        this.state = Rehearsals.State.RUNNING;
        this.begunAt = begunAt;
        this.begunBy = begunBy;
    }

    UUID id() {
        return id;
    }

    UUID mailboxId() {
        return mailboxId;
    }

    String words() {
        return words;
    }

    String document() {
        return document;
    }

    int days() {
        return days;
    }

    Rehearsals.State state() {
        return state;
    }

    Instant begunAt() {
        return begunAt;
    }

    String begunBy() {
        return begunBy;
    }
}
