package app.jubek.server.catchup;

import jakarta.persistence.LockModeType;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

interface CatchUpRepository extends JpaRepository<CatchUpEntity, UUID> {
    @Query("select c from CatchUpEntity c where c.mailboxId = :mailbox order by c.begunAt desc, c.id")
    List<CatchUpEntity> newest(UUID mailbox, Limit limit);

    Optional<CatchUpEntity> findByIdAndMailboxId(UUID id, UUID mailboxId);

    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select c from CatchUpEntity c where c.id = :id")
    Optional<CatchUpEntity> toChange(UUID id);

    @Query("select c.id from CatchUpEntity c where c.state in (READING, RUNNING, WAITING) and c.nextAt <= :now"
            + " order by c.begunAt")
    List<UUID> due(Instant now);

    /** Where a message lies. */
    record Lying(long id, String folder) {}

    @Query("select new app.jubek.server.catchup.CatchUpRepository$Lying(m.id, m.locatedFolder) from MessageEntity m"
            + " where m.mailboxId = :mailbox and m.locatedFolder in :folders and m.goneAt is null"
            + " and m.status in (PAST, DECIDED) and m.receivedAt >= :from and m.receivedAt < :before")
    List<Lying> lying(UUID mailbox, Collection<String> folders, Instant from, Instant before);

    @Query("select m.locatedUid from MessageEntity m where m.mailboxId = :mailbox and m.locatedFolder = :folder"
            + " and m.locatedValidity = :uidValidity")
    Set<Long> known(UUID mailbox, String folder, long uidValidity);

    /** A step that was planned for a message before, as it is stored. */
    record Planned(long message, String detail, String recipient) {}

    @Query("select new app.jubek.server.catchup.CatchUpRepository$Planned(s.messageId, s.detail, s.recipient)"
            + " from StepEntity s where s.mailboxId = :mailbox and s.messageId in :messages"
            + " and s.kind not in (UNDO, BRING_BACK) and s.state <> WITHHELD")
    List<Planned> planned(UUID mailbox, Collection<Long> messages);

    @Query("select s.state, count(s) from StepEntity s join CatchUpStepEntity c on c.step = s.id"
            + " where c.catchUp = :catchUp group by s.state")
    List<Object[]> steps(UUID catchUp);

    @Query("select count(s) from StepEntity s join CatchUpStepEntity c on c.step = s.id"
            + " where c.catchUp = :catchUp and s.state in (READY, SENDING) and s.releaseAt is null")
    int open(UUID catchUp);
}
