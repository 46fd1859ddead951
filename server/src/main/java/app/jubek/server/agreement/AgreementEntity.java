package app.jubek.server.agreement;

import app.jubek.core.address.MailAddress;
import app.jubek.core.outgoing.AgreementRequest;
import app.jubek.core.people.Agreement;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** One address that gets mail, or would, for one mailbox. */
@Entity
@Table(name = "agreement")
class AgreementEntity {
    @Id
    private UUID id;

    private UUID mailboxId;
    private String address;
    private String addressKey;

    @Enumerated(EnumType.STRING)
    private Agreement state;

    private Instant stateSince;
    private @Nullable Instant endsAt;
    private String askedBy;
    private @Nullable Instant requestDueAt;
    private int requests;
    private int wrongCodes;
    private boolean stopDue;
    private @Nullable Instant stopAskedAt;

    protected AgreementEntity() {}

    UUID id() {
        return id;
    }

    UUID mailbox() {
        return mailboxId;
    }

    String key() {
        return addressKey;
    }

    MailAddress address() {
        return MailAddress.of(address);
    }

    Agreement state() {
        return state;
    }

    Instant since() {
        return stateSince;
    }

    Optional<Instant> endsAt() {
        return Optional.ofNullable(endsAt);
    }

    String askedBy() {
        return askedBy;
    }

    Optional<Instant> requestDueAt() {
        return Optional.ofNullable(requestDueAt);
    }

    int requests() {
        return requests;
    }

    int wrongCodes() {
        return wrongCodes;
    }

    void codeWasWrong() {
        wrongCodes = wrongCodes + 1;
    }

    void become(Agreement next, Instant at, Optional<Instant> ends) {
        state = next;
        stopDue = false;
        stopAskedAt = null;
        stateSince = at;
        endsAt = ends.orElse(null);
    }

    /** Empty for no further request. */
    void askNext(Optional<Instant> when) {
        requestDueAt = when.orElse(null);
    }

    /** Whoever has a message that was handed on wants it stopped; the address itself is to confirm it. */
    void askToStop(Instant when) {
        stopDue = true;
        stopAskedAt = when;
        requestDueAt = when;
    }

    /** Since an instant. */
    boolean isStopAsked(Instant since) {
        return stopAskedAt != null && stopAskedAt.isAfter(since);
    }

    /** What a request that is due is about; empty where there is nothing to ask. */
    Optional<AgreementRequest.Why> requestWhy() {
        if (stopDue && state.isGiven()) {
            return Optional.of(AgreementRequest.Why.STOP);
        }
        return switch (state) {
            case ASKED -> Optional.of(AgreementRequest.Why.FIRST);
            case CONFIRMED -> Optional.of(AgreementRequest.Why.AGAIN);
            case TOLD -> Optional.of(AgreementRequest.Why.TOLD);
            default -> Optional.empty();
        };
    }

    /** When it is asked again, before it ends. */
    Optional<Instant> renewedAt() {
        return endsAt().filter(end -> state == Agreement.CONFIRMED)
                .map(end -> end.minus(Agreement.REQUEST_LASTS.multipliedBy(2)));
    }

    /** From now on requests count anew. */
    void askAnew(String who, Instant now) {
        askedBy = who;
        requests = 0;
        requestDueAt = now;
    }

    void asked() {
        requests = requests + 1;
        wrongCodes = 0;
        stopDue = false;
    }
}
