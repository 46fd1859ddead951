package app.jubek.server.account;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.UUID;

@Entity
@Table(name = "mailbox_right")
class MailboxRightEntity {
    @EmbeddedId
    private Key key;

    protected MailboxRightEntity() {}

    MailboxRightEntity(Key key) {
        this.key = key;
    }

    @Embeddable
    record Key(UUID accountId, UUID mailboxId) {}
}
