package app.jubek.server.desk;

import java.time.Instant;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.transaction.annotation.Transactional;

/** When each person last left the desk of a mailbox. */
interface DeskVisitRepository extends JpaRepository<DeskVisitEntity, DeskVisitEntity.Key> {
    /** Two pages of one person may leave at the same moment. */
    @Transactional
    @Modifying
    @Query("insert into DeskVisitEntity (key.accountId, key.mailboxId, at) values (:account, :mailbox, :at)"
            + " on conflict (key.accountId, key.mailboxId) do update set at = excluded.at")
    void left(UUID account, UUID mailbox, Instant at);
}
