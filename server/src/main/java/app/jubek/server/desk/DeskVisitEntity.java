package app.jubek.server.desk;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

@Entity
@Table(name = "desk_visit")
class DeskVisitEntity {
    @EmbeddedId
    private Key key;

    private Instant at;

    protected DeskVisitEntity() {}

    @Embeddable
    record Key(UUID accountId, UUID mailboxId) {}

    Instant at() {
        return at;
    }
}
