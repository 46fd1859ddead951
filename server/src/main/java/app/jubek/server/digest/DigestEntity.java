package app.jubek.server.digest;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.LocalDate;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** One person, told of one mailbox. */
@Entity
@Table(name = "digest")
class DigestEntity {
    @EmbeddedId
    private Key key;

    private String address;
    private @Nullable LocalDate sentOn;

    protected DigestEntity() {}

    @Embeddable
    record Key(UUID accountId, UUID mailboxId) {}

    Key key() {
        return key;
    }

    String address() {
        return address;
    }
}
