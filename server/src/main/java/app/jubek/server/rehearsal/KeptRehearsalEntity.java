package app.jubek.server.rehearsal;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

@Entity
@Table(name = "rehearsal")
class KeptRehearsalEntity {
    @Id
    private UUID id;

    private UUID mailboxId;
    private String name;

    @JdbcTypeCode(SqlTypes.JSON)
    private String document;

    private int days;
    private int messages;
    private int changing;
    private Instant madeAt;
    private String madeBy;

    protected KeptRehearsalEntity() {}

    KeptRehearsalEntity(
            UUID mailboxId, KeptRehearsalController.RehearsalKeeping keeping, Instant madeAt, String madeBy) {
        this.id = UUID.randomUUID();
        this.mailboxId = mailboxId;
        this.name = keeping.name();
        this.document = keeping.document().toString();
        this.days = keeping.days();
        this.messages = keeping.messages();
        this.changing = keeping.changing();
        this.madeAt = madeAt;
        this.madeBy = madeBy;
    }

    UUID id() {
        return id;
    }

    String document() {
        return document;
    }

    KeptRehearsalController.KeptLine line() {
        return new KeptRehearsalController.KeptLine(id.toString(), name, days, messages, changing, madeAt, madeBy);
    }
}
