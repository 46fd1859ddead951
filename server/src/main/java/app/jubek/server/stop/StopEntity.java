package app.jubek.server.stop;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

/** Nothing leaves this mailbox; there is none for one whose mail leaves. */
@Entity
@Table(name = "stop")
class StopEntity {
    @Id
    private UUID mailbox;

    private Instant since;
    private String who;

    protected StopEntity() {}

    Stops.Stop stop() {
        return new Stops.Stop(since, who);
    }
}
