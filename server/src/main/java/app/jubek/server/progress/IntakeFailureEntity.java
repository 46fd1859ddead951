package app.jubek.server.progress;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.io.Serializable;
import java.util.UUID;

@Entity
@Table(name = "intake_failure")
class IntakeFailureEntity {
    @EmbeddedId
    private Key key;

    private int times;
    private String cause;

    @Embeddable
    record Key(UUID mailboxId, String folder, long uidValidity, long uid) implements Serializable {}
}
