package app.jubek.server.trial;

import app.jubek.formats.trial.TrialJson;
import app.jubek.formats.trial.WrittenTrial;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;

@Entity
@Table(name = "trial")
class TrialEntity {
    @Id
    private UUID id;

    private UUID mailboxId;
    private String name;
    private Instant receivedAt;
    private boolean conversation;

    @JdbcTypeCode(SqlTypes.JSON)
    private String expectations;

    /** Whose addresses stand in its message, as they are compared. */
    private String[] people;

    private Instant madeAt;
    private String madeBy;
    private int revision;
    private @Nullable Integer heldWith;

    protected TrialEntity() {}

    TrialEntity(UUID id, UUID mailboxId, WrittenTrial written, String[] people, Instant madeAt, String madeBy) {
        this.id = id;
        this.mailboxId = mailboxId;
        this.madeAt = madeAt;
        this.madeBy = madeBy;
        write(written);
        this.people = people;
    }

    final void write(WrittenTrial written) {
        name = written.name();
        receivedAt = written.at();
        conversation = written.conversation();
        expectations = TrialJson.write(written.expectations()).toString();
        revision++;
    }

    void names(String[] addresses) {
        people = addresses;
    }

    KeptTrial kept() {
        return new KeptTrial(
                id,
                new WrittenTrial(name, receivedAt, conversation, TrialJson.readExpectations(expectations)),
                madeAt,
                madeBy,
                revision,
                Optional.ofNullable(heldWith));
    }
}
