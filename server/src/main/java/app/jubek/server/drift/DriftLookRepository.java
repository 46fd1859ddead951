package app.jubek.server.drift;

import java.time.Instant;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.transaction.annotation.Transactional;

interface DriftLookRepository extends JpaRepository<DriftLookEntity, UUID> {
    /** Of several nodes one gets 1: it looks. */
    @Transactional
    @Modifying
    @Query("insert into DriftLookEntity (mailboxId, lookedAt) values (:mailbox, :now)"
            + " on conflict (mailboxId) do update set lookedAt = excluded.lookedAt where lookedAt <= :before")
    int claim(UUID mailbox, Instant now, Instant before);

    @Transactional
    @Modifying
    @Query("update DriftLookEntity l set l.lookedAt = :at where l.mailboxId = :mailbox")
    void putOff(UUID mailbox, Instant at);
}
