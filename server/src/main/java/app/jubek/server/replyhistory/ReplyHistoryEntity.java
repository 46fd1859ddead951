package app.jubek.server.replyhistory;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.io.Serializable;
import java.time.Instant;
import java.util.UUID;

/** An answer, for one of the addresses by which its sender is known. */
@Entity
@Table(name = "reply_history")
class ReplyHistoryEntity {
    @EmbeddedId
    private Key key;

    private UUID mailboxId;
    private String answerKey;
    private Instant at;

    @Embeddable
    record Key(UUID stepId, String sender) implements Serializable {}

    protected ReplyHistoryEntity() {}

    ReplyHistoryEntity(Key key, UUID mailboxId, String answerKey, Instant at) {
        this.key = key;
        this.mailboxId = mailboxId;
        this.answerKey = answerKey;
        this.at = at;
    }

    Key key() {
        return key;
    }

    String answerKey() {
        return answerKey;
    }

    Instant at() {
        return at;
    }
}
