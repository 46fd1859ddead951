package app.jubek.server.agreement;

import app.jubek.core.people.Agreement;
import app.jubek.core.wording.Statement;
import app.jubek.formats.statement.StatementJson;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;

/** A message that asked. Only digests of its token and its code are kept. */
@Entity
@Table(name = "agreement_request")
class AgreementRequestEntity {
    @Id
    private UUID id;

    private UUID agreementId;
    private UUID mailboxId;
    private String addressKey;
    private String askedBy;
    private String token;
    private String code;
    private Instant sentAt;
    private @Nullable Instant usedAt;

    @JdbcTypeCode(SqlTypes.JSON)
    private @Nullable String fault;

    protected AgreementRequestEntity() {}

    AgreementRequestEntity(UUID id, AgreementEntity agreement, String token, String code, Instant sentAt) {
        this.id = id;
        this.agreementId = agreement.id();
        this.mailboxId = agreement.mailbox();
        this.addressKey = agreement.key();
        this.askedBy = agreement.askedBy();
        this.token = token;
        this.code = code;
        this.sentAt = sentAt;
    }

    UUID id() {
        return id;
    }

    UUID agreement() {
        return agreementId;
    }

    UUID mailbox() {
        return mailboxId;
    }

    boolean hasCode(String digest) {
        return code.equals(digest);
    }

    /**
     * Whether it can be agreed to: once, not too late, and not when the destination has agreed since it was sent. Whoever has
     * declined may think again.
     */
    boolean isOpen(AgreementEntity agreement, Instant now) {
        boolean answered =
                agreement.state() == Agreement.CONFIRMED && agreement.since().isAfter(sentAt);
        if (agreement.state() == Agreement.TOLD || agreement.state().isRefused()) {
            return agreement.state().isRefused();
        }
        return usedAt == null && until().isAfter(now) && !answered;
    }

    Instant until() {
        return sentAt.plus(Agreement.REQUEST_LASTS);
    }

    void use(Instant now) {
        usedAt = now;
    }

    Instant sentAt() {
        return sentAt;
    }

    Optional<Statement> fault() {
        return Optional.ofNullable(fault).map(StatementJson::read);
    }

    void failed(Statement why) {
        fault = StatementJson.write(why).toString();
    }
}
