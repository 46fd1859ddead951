package app.jubek.server.agreement;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface AgreementRequestRepository extends JpaRepository<AgreementRequestEntity, UUID> {
    Optional<AgreementRequestEntity> findByToken(String token);

    boolean existsByIdAndMailboxId(UUID id, UUID mailbox);

    /** The newest of each. */
    @Query("select r from AgreementRequestEntity r where r.agreementId in :agreements and r.sentAt ="
            + " (select max(o.sentAt) from AgreementRequestEntity o where o.agreementId = r.agreementId)")
    List<AgreementRequestEntity> latest(Collection<UUID> agreements);

    int countByAddressKeyAndSentAtAfter(String key, Instant since);

    int countByMailboxIdAndSentAtAfter(UUID mailbox, Instant since);

    int countByAskedByAndSentAtAfter(String who, Instant since);
}
