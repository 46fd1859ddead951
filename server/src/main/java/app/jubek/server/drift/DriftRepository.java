package app.jubek.server.drift;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface DriftRepository extends JpaRepository<DriftEntity, UUID> {
    @Query("select d from DriftEntity d where d.mailboxId = :mailbox order by d.foundAt desc, d.ruleId, d.key")
    List<DriftEntity> of(UUID mailbox);

    Optional<DriftEntity> findByIdAndMailboxId(UUID id, UUID mailboxId);
}
