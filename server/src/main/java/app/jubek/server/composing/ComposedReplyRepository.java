package app.jubek.server.composing;

import jakarta.persistence.LockModeType;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.transaction.annotation.Transactional;

interface ComposedReplyRepository extends JpaRepository<ComposedReplyEntity, UUID> {
    /** A reply that waits for a person, and to be composed. */
    interface Awaited {
        UUID getStep();

        UUID getMailbox();

        long getMessage();

        /** The rule's step, as JSON. */
        String getDetail();
    }

    /** Those that have waited longest; none of a mailbox that nothing is to leave. */
    @Query("select s.id as step, s.mailboxId as mailbox, s.messageId as message, s.detail as detail from StepEntity s"
            + " left join ComposedReplyEntity d on d.stepId = s.id"
            + " where s.kind = REPLY and s.state = HELD and s.reason = 'COMPOSED' and s.edited = false"
            + " and (d.stepId is null or d.progress = BEING_COMPOSED and d.dueAt <= instant)"
            + " and not exists (select 1 from StopEntity p where p.mailbox = s.mailboxId)"
            + " order by s.plannedAt, s.id limit :limit")
    List<Awaited> awaited(int limit);

    /** Whoever begins it has it for so long; nothing is changed when somebody was first. */
    @Transactional
    @Modifying
    @Query("insert into ComposedReplyEntity (stepId, mailboxId, progress, attempts, dueAt, sentences, reply)"
            + " values (:step, :mailbox, BEING_COMPOSED, 1, instant + :nanos nanosecond, '[]', '')"
            + " on conflict (stepId) do update set attempts = attempts + 1, dueAt = instant + :nanos nanosecond"
            + " where dueAt <= instant and progress = BEING_COMPOSED")
    int begin(UUID step, UUID mailbox, long nanos);

    @Modifying(flushAutomatically = true)
    @Query("update ComposedReplyEntity d set d.dueAt = instant + :nanos nanosecond where d.stepId = :step")
    void postpone(UUID step, long nanos);

    /** Of steps that wait no more: what left is kept as it left, for its time. */
    @Modifying
    @Query("delete from ComposedReplyEntity r where exists (select 1 from StepEntity s where s.id = r.stepId"
            + " and s.state not in (PLANNED, HELD, READY, SENDING))")
    void clearAway();

    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select d from ComposedReplyEntity d where d.stepId = :step and d.mailboxId = :mailbox")
    Optional<ComposedReplyEntity> toChange(UUID step, UUID mailbox);

    @Query("select d from ComposedReplyEntity d where d.mailboxId = :mailbox and d.stepId in :steps")
    List<ComposedReplyEntity> of(UUID mailbox, Collection<UUID> steps);
}
