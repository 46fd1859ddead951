package app.jubek.server.testmail;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface SightingRepository extends JpaRepository<SightingEntity, UUID> {
    @Query("select s from SightingEntity s where s.testId in :tests order by s.seenAt, s.id")
    List<SightingEntity> of(Collection<UUID> tests);

    boolean existsByMailboxIdAndMessageId(UUID mailboxId, String messageId);
}
