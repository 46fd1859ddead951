package app.jubek.server.agreement;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface AgreementChangeRepository extends JpaRepository<AgreementChangeEntity, UUID> {
    @Query("select c from AgreementChangeEntity c where c.agreementId in :agreements order by c.at desc, c.id")
    List<AgreementChangeEntity> of(Collection<UUID> agreements);

    @Query("select new app.jubek.server.agreement.StoredAgreements$Said(c.at, c.event, c.who, a.address)"
            + " from AgreementChangeEntity c join AgreementEntity a on a.id = c.agreementId"
            + " where a.mailboxId = :mailbox and c.at >= :from and c.at < :until order by c.at desc, c.id")
    List<StoredAgreements.Said> between(UUID mailbox, Instant from, Instant until, Limit limit);
}
