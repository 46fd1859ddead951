package app.jubek.server.account;

import jakarta.persistence.Column;
import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.io.Serializable;
import java.time.Instant;
import java.util.UUID;

/** An attempt, under one of the keys by which attempts are counted. */
@Entity
@Table(name = "sign_in_attempt")
class SignInAttemptEntity {
    @EmbeddedId
    private Key key;

    private Instant at;

    @Embeddable
    record Key(UUID id, @Column(name = "key") String countedBy) implements Serializable {}
}
