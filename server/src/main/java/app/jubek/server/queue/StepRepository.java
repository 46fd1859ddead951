package app.jubek.server.queue;

import app.jubek.core.step.StepState;
import app.jubek.server.platform.SkipLocked;
import app.jubek.server.step.Work;
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
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface StepRepository extends JpaRepository<StepEntity, UUID> {
    /** An answer was withheld and the message filed away, and nobody has seen to it: no rule's answer went first. */
    String UNSEEN = " from StepEntity s join MessageEntity m on m.id = s.messageId"
            + " where s.kind = REPLY and s.state = WITHHELD and s.attended = false and s.reason <> 'SUPERSEDED'"
            + " and m.status <> 'REAL_TEST' and m.goneAt is null and m.locatedFolder <> m.folder and exists ("
            + "select 1 from StepEntity f where f.messageId = s.messageId and f.state = SENT"
            + " and f.kind in (FILE, ARCHIVE, TRASH)) ";

    /** A message that comes back, or came, unless somebody deals with it. */
    String FOLLOWED_UP = " from StepEntity s join MessageEntity m on m.id = s.messageId"
            + " where s.kind = FOLLOW_UP and s.attended = false and s.state in (READY, SENT) ";

    String CAME_BACK = " from StepEntity s where s.state = SENT and s.attended = false"
            + " and (s.kind = FOLLOW_UP or s.kind = BRING_BACK and s.reason = 'NOT_FOR') ";

    /**
     * The id of the next step that is due; steps in a folder are done one after the other for each message. A mailbox, a
     * rule and a recipient have so many steps under way at most, and the mailbox that has fewest comes first, so that none
     * holds up the others.
     */
    @SkipLocked
    @Query("""
            with busy as materialized (
              select b.mailboxId as mailbox, b.ruleId as rule, b.recipient as recipient from StepEntity b
              where b.state = SENDING)
            select s.id from StepEntity s
            where s.state = READY and s.dueAt <= instant and (s.releaseAt is null or s.releaseAt <= :now)
            and (s.kind not in (FORWARD, REDIRECT, REPLY, ANSWER_COPY)
              or not exists (select 1 from StopEntity stop where stop.mailbox = s.mailboxId))
            and (select count(*) from busy b where b.mailbox = s.mailboxId) < :ofMailbox
            and (select count(*) from busy b where b.mailbox = s.mailboxId and b.rule = s.ruleId) < :ofRule
            and (s.recipient = '' or (select count(*) from busy b where b.recipient = s.recipient) < :toRecipient)
            and (s.kind in (FORWARD, REDIRECT, REPLY, ANSWER_COPY) or not exists (
              select 1 from StepEntity e where e.messageId = s.messageId and e.position < s.position
              and e.kind not in (FORWARD, REDIRECT, REPLY, ANSWER_COPY) and e.state in (READY, SENDING)
              and e.afterReply = false and e.kind <> FOLLOW_UP
              and not (s.kind = BRING_BACK and e.kind in (FILE_ELSEWHERE, TRASH, DELETE))))
            and (s.kind not in (FILE_ELSEWHERE, TRASH, DELETE) or not exists (
              select 1 from StepEntity e where e.messageId = s.messageId
              and e.kind in (FORWARD, REDIRECT, REPLY, ANSWER_COPY)
              and e.state in (PLANNED, HELD, READY, SENDING, FAILED)))
            and (s.afterReply = false or exists (
              select 1 from StepEntity e where e.messageId = s.messageId and e.ruleId = s.ruleId
              and e.kind = REPLY and e.state = SENT))
            order by (select count(*) from busy b where b.mailbox = s.mailboxId), s.dueAt, s.plannedAt, s.position
            limit 1""")
    Optional<UUID> nextDue(int ofMailbox, int ofRule, int toRecipient, Instant now);

    /** Of a step that can't even be read: it counts as tried, and after so many times it has failed. */
    @Modifying
    @Query("update StepEntity s set s.attempts = s.attempts + 1, s.reason = :reason, s.leasedUntil = null,"
            + " s.reasonArguments = :arguments, s.advice = null, s.dueAt = instant + :nanos nanosecond,"
            + " s.settledAt = case when s.attempts + 1 >= :most then instant else s.settledAt end,"
            + " s.state = case when s.attempts + 1 >= :most then app.jubek.core.step.StepState.FAILED"
            + " else app.jubek.core.step.StepState.READY end"
            + " where s.id = :id and s.state in (READY, SENDING)")
    void brokenBeforeRead(UUID id, String reason, String arguments, long nanos, int most);

    @Query("select s.id from StepEntity s where s.state = SENDING and s.leasedUntil < instant")
    List<UUID> abandoned();

    @SkipLocked
    @Query("select s.id from StepEntity s where s.id = :id and s.state = SENDING and s.leasedUntil < instant")
    Optional<UUID> abandoned(UUID id);

    @Modifying(flushAutomatically = true)
    @Query("update StepEntity s set s.leasedUntil = instant + :nanos nanosecond"
            + " where s.id in :ids and s.state = SENDING and s.claimedBy = :node")
    void lease(Collection<UUID> ids, UUID node, long nanos);

    @Modifying(flushAutomatically = true)
    @Query("update StepEntity s set s.dueAt = instant + :nanos nanosecond, s.leasedUntil = null where s.id = :id")
    void postpone(UUID id, long nanos);

    @Query("select s.id from StepEntity s where s.messageId in :messages")
    List<UUID> idsOfMessages(Collection<Long> messages);

    /** What leaves, and waits for a person, a destination or its time; what has waited longest comes first. */
    @Query(
            "select s from StepEntity s where s.mailboxId = :mailbox and s.kind in (FORWARD, REDIRECT, REPLY, ANSWER_COPY)"
                    + " and (s.state = HELD or s.state = READY and s.releaseAt is not null and s.attempts = 0)"
                    + " order by s.plannedAt, s.messageId, s.position")
    List<StepEntity> waiting(UUID mailbox, Limit limit);

    @Query("select count(s) from StepEntity s where s.mailboxId = :mailbox and s.state in :states")
    int countIn(UUID mailbox, Collection<StepState> states);

    @Query("select s from StepEntity s where s.mailboxId = :mailbox and s.id in :ids")
    List<StepEntity> ofMailbox(UUID mailbox, Collection<UUID> ids);

    @Query("select s from StepEntity s where s.mailboxId = :mailbox and s.state = HELD"
            + " order by s.plannedAt desc, s.messageId desc, s.position desc")
    List<StepEntity> held(UUID mailbox, Limit limit);

    @Query("select s from StepEntity s join MessageEntity m on m.id = s.messageId"
            + " where s.mailboxId = :mailbox and s.kind = REPLY"
            + " and (lower(s.recipient) = :sender or s.recipient = '' and array_position(m.senders, :sender) > 0)"
            + " order by s.plannedAt desc, s.id desc limit :limit")
    List<StepEntity> answersTo(UUID mailbox, String sender, int limit);

    @Query("select s from StepEntity s where s.mailboxId = :mailbox and s.messageId in :messages"
            + " order by s.position")
    List<StepEntity> ofMessages(UUID mailbox, Collection<Long> messages);

    @Query("select s.id" + UNSEEN + "and s.id in :ids")
    Set<UUID> unseenAmong(Collection<UUID> ids);

    @Query("select s" + UNSEEN + "and s.mailboxId = :mailbox and s.plannedAt >= :since order by s.plannedAt desc, s.id")
    List<StepEntity> unseen(UUID mailbox, Instant since, Limit limit);

    @Query("select count(s)" + UNSEEN + "and s.mailboxId = :mailbox and s.plannedAt >= :since")
    int countUnseen(UUID mailbox, Instant since);

    /** Of messages that one of these Message-IDs names, or of which something left under it, and that somebody else sent. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select s" + FOLLOWED_UP
            + "and s.mailboxId = :mailbox and (m.senders is null or array_position(m.senders, :other) = 0)"
            + " and (m.messageId in :ids or exists (select 1 from StepEntity o"
            + " where o.messageId = s.messageId and o.outgoingId in :ids))")
    List<StepEntity> followedUp(UUID mailbox, Collection<String> ids, String other);

    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select s" + FOLLOWED_UP + "and s.messageId = :message")
    List<StepEntity> followedUp(long message);

    /** What came back because nobody dealt with it, or because it was not for who had it. */
    @Query("select s" + CAME_BACK
            + "and s.mailboxId = :mailbox and s.settledAt >= :since order by s.settledAt desc, s.id")
    List<StepEntity> broughtBack(UUID mailbox, Instant since, Limit limit);

    @Query("select count(s)" + CAME_BACK + "and s.mailboxId = :mailbox and s.settledAt >= :since")
    int countBroughtBack(UUID mailbox, Instant since);

    @Query("select s from StepEntity s where s.messageId = :message and s.ruleId = :rule and s.afterReply = true"
            + " and s.state in (READY, HELD)")
    List<StepEntity> waitingForReply(long message, String rule);

    List<StepEntity> findByMailboxIdAndOutgoingId(UUID mailboxId, String outgoingId);

    Optional<StepEntity> findByIdAndMailboxId(UUID id, UUID mailboxId);

    /** Of two people who decide at the same moment the second sees what the first did. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select s from StepEntity s where s.id = :id and s.mailboxId = :mailbox")
    Optional<StepEntity> toActOn(UUID id, UUID mailbox);

    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select s from StepEntity s where s.mailboxId = :mailbox and s.id in :ids order by s.id")
    List<StepEntity> toUndo(UUID mailbox, Collection<UUID> ids);

    /** The step that another one has undone. */
    @Modifying(flushAutomatically = true)
    @Query("update StepEntity s set s.state = UNDONE where s.state = SENT"
            + " and s.id = (select t.step from StepTraceEntity t where t.undoneBy = :undo)")
    void undone(UUID undo);

    /** A bounce may be noted at the same moment. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select s from StepEntity s where s.id = :id")
    Optional<StepEntity> toSettle(UUID id);

    /** Of one after the other, so that two bounces for one step are noted in turn. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select s from StepEntity s where s.mailboxId = :mailbox and s.outgoingId in :ids order by s.id")
    List<StepEntity> sentAs(UUID mailbox, Collection<String> ids);

    boolean existsByMailboxIdAndOutgoingIdIn(UUID mailboxId, Collection<String> outgoingIds);

    @Query("select m.receivedAt from MessageEntity m where m.id = :message")
    Instant received(long message);

    /** How things are for a message just now. */
    interface Standing {
        Instant getReceived();

        /** The database was restored after the message came in, so that what it says of it may be old. */
        boolean getRestored();

        /** Nothing is to leave its mailbox. */
        boolean getStopped();
    }

    @Query("select m.receivedAt as received, case when exists (select 1 from MailboxEntity b"
            + " where b.id = m.mailboxId and b.restoredAt >= m.receivedAt) then true else false end as restored,"
            + " case when exists (select 1 from StopEntity p where p.mailbox = m.mailboxId) then true else false end"
            + " as stopped from MessageEntity m where m.id = :message")
    Standing standing(long message);

    boolean existsByMessageIdAndKind(long messageId, Work kind);
}
