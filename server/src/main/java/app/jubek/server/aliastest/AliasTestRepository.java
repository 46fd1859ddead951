package app.jubek.server.aliastest;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.transaction.annotation.Transactional;

interface AliasTestRepository extends JpaRepository<AliasTestEntity, UUID> {
    @Query("select t from AliasTestEntity t where t.mailboxId = :mailbox order by t.sentAt desc")
    List<AliasTestEntity> latest(UUID mailbox, Limit limit);

    /** Its own column only: the message may come in while the fault is being noted. */
    @Transactional
    @Modifying
    @Query("update AliasTestEntity t set t.fault = :fault where t.id = :id")
    void failed(UUID id, String fault);

    @Transactional
    @Modifying
    @Query("update AliasTestEntity t set t.arrivedAt = :at where t.mailboxId = :mailbox and t.messageId = :messageId")
    int arrived(UUID mailbox, String messageId, Instant at);
}
