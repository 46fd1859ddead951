package app.jubek.server.progress;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

@Entity
@Table(name = "watch_lease")
class WatchLeaseEntity {
    @Id
    private UUID mailboxId;

    private UUID holder;
    private long fencingToken;
    private Instant until;
}
