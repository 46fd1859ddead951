package app.jubek.server.progress;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.io.Serializable;
import java.util.UUID;

@Entity
@Table(name = "sent_message")
class SentMessageEntity {
    @EmbeddedId
    private Key key;

    private String messageId;

    @Embeddable
    record Key(UUID mailboxId, long uidValidity, long uid) implements Serializable {}
}
