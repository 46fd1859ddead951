package app.jubek.server.figures;

import app.jubek.core.plan.Reason;
import app.jubek.core.review.Unanswered;
import app.jubek.core.rule.RuleId;
import app.jubek.core.step.StepState;
import app.jubek.server.step.RuleUse;
import app.jubek.server.step.Work;
import jakarta.persistence.EntityManager;
import java.time.Instant;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Reads the steps of a mailbox by the number. */
@Service
@Transactional(readOnly = true)
public class WorkFigures {
    /** What was sent to test rules is no work of theirs. */
    private static final String NO_TESTS = " and s.messageId not in (select t.id from MessageEntity t"
            + " where t.mailboxId = :mailbox and t.status = 'REAL_TEST') ";

    private static final String USES = """
            select new app.jubek.server.step.RuleUse(s.ruleId, count(distinct s.messageId), max(s.plannedAt), 0L)
            from StepEntity s where s.mailboxId = :mailbox and s.state in (SENT, UNCERTAIN, UNDONE)
            and s.kind <> UNDO""" + NO_TESTS + "group by s.ruleId";

    private static final String WITHHELD_BY_RULE = """
            select s.ruleId, count(distinct s.messageId) from StepEntity s
            where s.mailboxId = :mailbox and s.state = WITHHELD and s.reason = :reason""" + NO_TESTS + "group by s.ruleId";

    private static final String DONE_WITH = """
            select s.messageId, s.kind from StepEntity s
            where s.mailboxId = :mailbox and s.plannedAt > :since and s.state in (SENT, UNCERTAIN)""" + NO_TESTS;

    private static final String MESSAGES_IN = """
            select distinct s.messageId from StepEntity s
            where s.mailboxId = :mailbox and s.state in :states and s.plannedAt >= :since""";

    /** Of each rule that answers, how many answers it planned, and how many were withheld and the message moved. */
    private static final String ANSWERS_BY_RULE = """
            select s.ruleId, count(distinct s.messageId), count(distinct case when s.state = WITHHELD
              and s.reason <> 'SUPERSEDED' and exists (select 1 from StepEntity f where f.messageId = s.messageId
              and f.ruleId = s.ruleId and f.state = SENT and f.kind in (FILE, ARCHIVE, TRASH))
              then s.messageId end) from StepEntity s where s.mailboxId = :mailbox and s.kind = REPLY
            and s.plannedAt >= :since""" + NO_TESTS + "group by s.ruleId";

    /** Native, as only PostgreSQL's own functions look into a list inside a JSON document. */
    private static final String MARKED_BETWEEN = """
            select s.message_id, min(tag) from step s join message m on m.id = s.message_id,
            jsonb_array_elements_text(s.detail -> 'tags') tag
            where s.mailbox_id = :mailbox and s.kind = 'MARK' and s.state = 'SENT' and m.gone_at is null
            and jsonb_typeof(s.detail -> 'tags') = 'array' and tag between :first and :last
            group by s.message_id order by 2, 1""";

    /** What may not go out yet is not waiting to be done. */
    private static final String DUE =
            " from StepEntity s where s.state in :states and (s.releaseAt is null or s.releaseAt <= :now)";

    private final EntityManager entities;

    WorkFigures(EntityManager entities) {
        this.entities = entities;
    }

    /** Steps of all mailboxes in these states. */
    int steps(Set<StepState> states, Instant now) {
        return entities.createQuery("select count(s)" + DUE, Long.class)
                .setParameter("states", states)
                .setParameter("now", now)
                .getSingleResult()
                .intValue();
    }

    /** When the oldest of them was planned. */
    Optional<Instant> firstPlanned(Set<StepState> states, Instant now) {
        return Optional.ofNullable(entities.createQuery("select min(s.plannedAt)" + DUE, Instant.class)
                .setParameter("states", states)
                .setParameter("now", now)
                .getSingleResult());
    }

    /** What each rule did, as far as records go back; rules that never acted are left out. */
    public List<RuleUse> uses(UUID mailbox) {
        Map<String, Long> superseded = entities.createQuery(WITHHELD_BY_RULE, Object[].class)
                .setParameter("mailbox", mailbox)
                .setParameter("reason", Reason.SUPERSEDED.id())
                .getResultStream()
                .collect(Collectors.toMap(row -> (String) row[0], row -> (Long) row[1]));
        return entities.createQuery(USES, RuleUse.class)
                .setParameter("mailbox", mailbox)
                .getResultStream()
                .map(use -> use.with(superseded.getOrDefault(use.rule(), 0L)))
                .toList();
    }

    /** Of each rule that answers, how often it moved a message without its answer since an instant. */
    public List<Unanswered> unanswered(UUID mailbox, Instant since) {
        return entities.createQuery(ANSWERS_BY_RULE, Object[].class)
                .setParameter("mailbox", mailbox)
                .setParameter("since", since)
                .getResultStream()
                .map(row -> new Unanswered(
                        new RuleId((String) row[0]), ((Number) row[2]).intValue(), ((Number) row[1]).intValue()))
                .toList();
    }

    /** What was done with each message, of what was planned since an instant. */
    public Map<Long, Set<Work>> doneWith(UUID mailbox, Instant since) {
        return entities.createQuery(DONE_WITH, Object[].class)
                .setParameter("mailbox", mailbox)
                .setParameter("since", since)
                .getResultStream()
                .collect(Collectors.groupingBy(
                        row -> (Long) row[0], Collectors.mapping(row -> (Work) row[1], Collectors.toSet())));
    }

    /** Messages of which a step that was planned since an instant is in one of these states. */
    public Set<Long> messagesIn(UUID mailbox, Set<StepState> states, Instant since) {
        return new HashSet<>(entities.createQuery(MESSAGES_IN, Long.class)
                .setParameter("mailbox", mailbox)
                .setParameter("states", states)
                .setParameter("since", since)
                .getResultList());
    }

    /**
     * @param tag the mark of a message that lies between two, in the order of letters
     */
    public record Marked(long message, String tag) {}

    /** Messages that carry a mark between two, both included, by their first such mark; mail that is gone is left out. */
    public List<Marked> markedBetween(UUID mailbox, String first, String last) {
        List<?> rows = entities.createNativeQuery(MARKED_BETWEEN, Object[].class)
                .setParameter("mailbox", mailbox)
                .setParameter("first", first)
                .setParameter("last", last)
                .getResultList();
        return rows.stream()
                .map(Object[].class::cast)
                .map(row -> new Marked(((Number) row[0]).longValue(), (String) row[1]))
                .toList();
    }
}
