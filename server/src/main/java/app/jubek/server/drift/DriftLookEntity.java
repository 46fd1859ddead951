package app.jubek.server.drift;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

/** When a mailbox was last looked through. */
@Entity
@Table(name = "drift_look")
class DriftLookEntity {
    @Id
    private UUID mailboxId;

    private Instant lookedAt;

    protected DriftLookEntity() {}

    Instant lookedAt() {
        return lookedAt;
    }
}
