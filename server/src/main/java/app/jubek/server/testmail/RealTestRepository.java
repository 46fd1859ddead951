package app.jubek.server.testmail;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface RealTestRepository extends JpaRepository<RealTestEntity, UUID> {
    @Query("select t from RealTestEntity t where t.mailboxId = :mailbox order by t.sentAt desc, t.id")
    List<RealTestEntity> latest(UUID mailbox, Limit limit);

    @Query("select t from RealTestEntity t where t.mailboxId = :mailbox and t.id in :ids order by t.sentAt, t.id")
    List<RealTestEntity> all(UUID mailbox, Collection<UUID> ids);

    int countByMailboxIdAndSentAtAfter(UUID mailboxId, Instant since);

    /** Sent and not seen again yet. */
    @Query("select t from RealTestEntity t where t.mailboxId = :mailbox and t.messageId = :messageId"
            + " and t.sentAt > :since and t.cameInAt is null")
    Optional<RealTestEntity> awaited(UUID mailbox, String messageId, Instant since);

    /** Of which a message came to another mailbox: the same one, or one that left for that mailbox because of it. */
    @Query("select t from RealTestEntity t where t.mailboxId <> :mailbox and t.sentAt > :since"
            + " and (t.messageId = :messageId and t.sender = :sender or exists (select 1 from StepEntity s"
            + " where s.messageId = t.message and s.outgoingId = :messageId and lower(s.recipient) in :own))"
            + " order by t.sentAt desc limit 1")
    Optional<RealTestEntity> elsewhere(
            UUID mailbox, String messageId, String sender, Collection<String> own, Instant since);

    @Query("select count(t) > 0 from RealTestEntity t where t.message = :message and array_contains(t.rules, :rule)")
    boolean isFor(long message, String rule);

    /** Its own column only: the message may come in while the fault is being noted. */
    @Modifying
    @Query("update RealTestEntity t set t.fault = :fault where t.id = :id")
    void failed(UUID id, String fault);

    @Modifying
    @Query("update RealTestEntity t set t.cleanedAt = :at where t.id = :id")
    void cleaned(UUID id, Instant at);

    /** Those that are awaited no more; what is on its way has to be known when it comes in. */
    @Modifying
    @Query("delete from RealTestEntity t where t.mailboxId = :mailbox and t.trialId in :trials"
            + " and (t.cameInAt is not null or t.sentAt < :before)")
    void erase(UUID mailbox, Collection<UUID> trials, Instant before);

    @Modifying
    @Query("delete from RealTestEntity t where t.mailboxId = :mailbox and t.sentAt < :before")
    void forget(UUID mailbox, Instant before);
}
