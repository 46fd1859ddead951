package app.jubek.server.agreement;

import app.jubek.core.people.Agreement;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

/** Something that happened to an agreement; never changed. */
@Entity
@Table(name = "agreement_change")
class AgreementChangeEntity {
    @Id
    private UUID id;

    private UUID agreementId;
    private Instant at;

    @Enumerated(EnumType.STRING)
    private Agreement.Event event;

    private String who;

    protected AgreementChangeEntity() {}

    AgreementChangeEntity(UUID agreementId, Instant at, Agreement.Event event, String who) {
        this.id = UUID.randomUUID();
        this.agreementId = agreementId;
        this.at = at;
        this.event = event;
        this.who = who;
    }

    UUID agreement() {
        return agreementId;
    }

    StoredAgreements.Change change() {
        return new StoredAgreements.Change(at, event, who);
    }
}
