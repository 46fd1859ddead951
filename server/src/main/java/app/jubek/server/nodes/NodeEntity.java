package app.jubek.server.nodes;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

@Entity
@Table(name = "node")
class NodeEntity {
    @Id
    private UUID id;

    private int schemaVersion;
    private Instant seenAt;
}
