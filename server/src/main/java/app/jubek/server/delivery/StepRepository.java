package app.jubek.server.delivery;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface StepRepository extends JpaRepository<StepEntity, UUID> {
    /**
     * The id of the next step that is due; steps in a folder are done one after the other for each message. A mailbox, a
     * rule and a recipient have so many steps under way at most, and the mailbox that has fewest comes first, so that none
     * holds up the others.
     */
    @Query(nativeQuery = true, value = """
            with busy as materialized (select mailbox_id, rule_id, recipient from step where state = 'SENDING')
            select cast(s.id as text) from step s
            where s.state = 'READY' and s.due_at <= now()
            and (select count(*) from busy b where b.mailbox_id = s.mailbox_id) < :ofMailbox
            and (select count(*) from busy b where b.mailbox_id = s.mailbox_id and b.rule_id = s.rule_id) < :ofRule
            and (s.recipient = ''
              or (select count(*) from busy b where b.recipient = s.recipient) < :toRecipient)
            and (s.kind in ('FORWARD', 'REDIRECT', 'REPLY', 'ANSWER_COPY') or not exists (
              select 1 from step e where e.message_id = s.message_id and e.position < s.position
              and e.kind not in ('FORWARD', 'REDIRECT', 'REPLY', 'ANSWER_COPY') and e.state in ('READY', 'SENDING')
              and not (s.kind = 'BRING_BACK' and e.kind in ('FILE_ELSEWHERE', 'TRASH', 'DELETE'))))
            and (s.kind not in ('FILE_ELSEWHERE', 'TRASH', 'DELETE') or not exists (
              select 1 from step e where e.message_id = s.message_id
              and e.kind in ('FORWARD', 'REDIRECT', 'REPLY', 'ANSWER_COPY')
              and e.state in ('PLANNED', 'HELD', 'READY', 'SENDING', 'FAILED')))
            order by (select count(*) from busy b where b.mailbox_id = s.mailbox_id), s.due_at, s.planned_at, s.position
            limit 1 for update of s skip locked""")
    Optional<String> nextDue(int ofMailbox, int ofRule, int toRecipient);

    /** Of a step that can't even be read: it counts as tried, and after so many times it has failed. */
    @Modifying
    @Query(nativeQuery = true, value = """
            update step set attempts = attempts + 1, note = :note, leased_until = null,
              due_at = now() + :millis * interval '1 millisecond',
              state = case when attempts + 1 >= :most then 'FAILED' else 'READY' end,
              settled_at = case when attempts + 1 >= :most then now() else settled_at end
            where id = :id and state in ('READY', 'SENDING')""")
    void brokenBeforeRead(UUID id, String note, long millis, int most);

    @Query(nativeQuery = true, value = """
            select cast(id as text) from step where state = 'SENDING' and leased_until < now()""")
    List<String> abandoned();

    @Query(nativeQuery = true, value = """
            select cast(id as text) from step where id = :id and state = 'SENDING' and leased_until < now()
            for update skip locked""")
    Optional<String> abandoned(UUID id);

    @Modifying(flushAutomatically = true)
    @Query(nativeQuery = true, value = """
            update step set leased_until = now() + :millis * interval '1 millisecond'
            where id in (:ids) and state = 'SENDING' and claimed_by = :node""")
    void lease(Collection<UUID> ids, UUID node, long millis);

    @Modifying(flushAutomatically = true)
    @Query(nativeQuery = true, value = """
            update step set due_at = now() + :millis * interval '1 millisecond', leased_until = null
            where id = :id""")
    void postpone(UUID id, long millis);

    @Query("select count(s) from StepEntity s where s.mailboxId = :mailbox and s.ruleId = :rule"
            + " and s.outgoingId is not null and s.claimedAt > :since and s.state in ('SENDING', 'SENT', 'UNCERTAIN')")
    int countLeftByRule(UUID mailbox, String rule, Instant since);

    @Query("select count(s) from StepEntity s where s.mailboxId = :mailbox and s.state in :states")
    int countIn(UUID mailbox, Collection<app.jubek.core.step.StepState> states);

    @Query("select count(s) from StepEntity s where s.mailboxId = :mailbox and s.outgoingId is not null"
            + " and s.claimedAt > :since and s.state in ('SENDING', 'SENT', 'UNCERTAIN')")
    int countLeft(UUID mailbox, Instant since);

    @Query("select new app.jubek.server.delivery.RuleUse(s.ruleId, count(distinct s.messageId), max(s.plannedAt), 0L)"
            + " from StepEntity s where s.mailboxId = :mailbox and s.state in ('SENT', 'UNCERTAIN', 'UNDONE')"
            + " group by s.ruleId")
    List<RuleUse> uses(UUID mailbox);

    @Query("select s.ruleId, count(distinct s.messageId) from StepEntity s where s.mailboxId = :mailbox"
            + " and s.state = 'WITHHELD' and s.note like concat(:note, '%') group by s.ruleId")
    List<Object[]> withheldByRule(UUID mailbox, String note);

    @Query("select new app.jubek.server.delivery.DoneCount(s.kind, count(distinct s.messageId)) from StepEntity s"
            + " where s.mailboxId = :mailbox and s.settledAt > :since and s.state in ('SENT', 'UNCERTAIN')"
            + " group by s.kind")
    List<DoneCount> doneSince(UUID mailbox, Instant since);

    @Query("select s from StepEntity s where s.mailboxId = :mailbox order by s.plannedAt desc, s.id desc")
    List<StepEntity> newest(UUID mailbox, Limit limit);

    @Query("select s from StepEntity s where s.mailboxId = :mailbox and s.state in :states"
            + " order by s.plannedAt desc, s.id desc")
    List<StepEntity> newestIn(UUID mailbox, Collection<app.jubek.core.step.StepState> states, Limit limit);

    @Query(nativeQuery = true, value = """
            select s.* from step s join message m on m.id = s.message_id
            where s.mailbox_id = :mailbox and s.kind = 'REPLY'
            and (lower(s.recipient) = :writer or s.recipient = '' and :writer = any(m.senders))
            order by s.planned_at desc, s.id desc limit :limit""")
    List<StepEntity> answersTo(UUID mailbox, String writer, int limit);

    @Query("select s from StepEntity s where s.mailboxId = :mailbox and s.messageId in :messages"
            + " order by s.position")
    List<StepEntity> ofMessages(UUID mailbox, Collection<Long> messages);

    Optional<StepEntity> findByIdAndMailboxId(UUID id, UUID mailboxId);

    boolean existsByMailboxIdAndOutgoingIdIn(UUID mailboxId, Collection<String> outgoingIds);

    @Query(nativeQuery = true, value = """
            select exists (select 1 from message m join mailbox b on b.id = m.mailbox_id
            where m.id = :message and m.received_at <= b.restored_at)""")
    boolean cameBeforeRestoring(long message);

    boolean existsByMessageIdAndKind(long messageId, Work kind);
}
