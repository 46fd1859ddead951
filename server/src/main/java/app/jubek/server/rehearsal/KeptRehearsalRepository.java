package app.jubek.server.rehearsal;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface KeptRehearsalRepository extends JpaRepository<KeptRehearsalEntity, UUID> {
    @Query("select r from KeptRehearsalEntity r where r.mailboxId = :mailbox order by r.madeAt desc, r.id")
    List<KeptRehearsalEntity> of(UUID mailbox);

    Optional<KeptRehearsalEntity> findByIdAndMailboxId(UUID id, UUID mailboxId);

    int countByMailboxId(UUID mailboxId);
}
