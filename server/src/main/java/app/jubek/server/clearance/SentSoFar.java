package app.jubek.server.clearance;

import app.jubek.core.safety.Limits;
import app.jubek.server.step.Work;
import jakarta.persistence.EntityManager;
import java.time.Instant;
import java.util.Locale;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Counts what has left, and what a person let go. */
@Component
@Transactional(readOnly = true)
public class SentSoFar {
    /** One look for all limits; a sender is known by every address that a message names as one. */
    private static final String LEFT = """
            select count(s), count(case when s.ruleId = :rule then 1 end),
            count(case when lower(s.recipient) = :to then 1 end),
            count(case when array_intersects(m.senders, of.senders) then 1 end)
            from StepEntity s join MessageEntity m on m.id = s.messageId join MessageEntity of on of.id = :message
            where s.mailboxId = :mailbox and s.outgoingId is not null and s.claimedAt > :since
            and s.state in (SENDING, SENT, UNCERTAIN)""";

    private static final String APPROVED = "select count(distinct s.messageId) from StepEntity s"
            + " where s.mailboxId = :mailbox and s.ruleId = :rule and s.kind = :kind and s.releasedBy is not null"
            + " and s.edited = false and s.state in (READY, SENDING, SENT, UNCERTAIN)";

    private final EntityManager entities;

    SentSoFar(EntityManager entities) {
        this.entities = entities;
    }

    Limits.Flow lastHour(UUID mailbox, Leaving leaving, Instant now) {
        return lastHour(mailbox, leaving.message(), leaving.rule(), leaving.recipient(), now);
    }

    /** How much left that counts for a rule's step to a recipient. */
    public Limits.Flow lastHour(UUID mailbox, long message, String rule, String recipient, Instant now) {
        Object[] counts = entities.createQuery(LEFT, Object[].class)
                .setParameter("mailbox", mailbox)
                .setParameter("rule", rule)
                .setParameter("to", recipient.toLowerCase(Locale.ROOT))
                .setParameter("message", message)
                .setParameter("since", Limits.since(now))
                .getSingleResult();
        return new Limits.Flow(number(counts[0]), number(counts[1]), number(counts[2]), number(counts[3]));
    }

    private static int number(Object count) {
        return ((Number) count).intValue();
    }

    /** Messages for which a person let go, without a change, what a rule had written. */
    public int approved(UUID mailbox, String rule, Work kind) {
        return entities.createQuery(APPROVED, Long.class)
                .setParameter("mailbox", mailbox)
                .setParameter("rule", rule)
                .setParameter("kind", kind)
                .getSingleResult()
                .intValue();
    }
}
