package app.jubek.server.clearance;

import app.jubek.server.step.Work;
import jakarta.persistence.EntityManager;
import java.time.Instant;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Counts what has left, and what a person let go. */
@Component
@Transactional(readOnly = true)
public class SentSoFar {
    private static final String LEFT = "select count(s) from StepEntity s where s.mailboxId = :mailbox"
            + " and s.outgoingId is not null and s.claimedAt > :since and s.state in (SENDING, SENT, UNCERTAIN)";

    private static final String APPROVED = "select count(distinct s.messageId) from StepEntity s"
            + " where s.mailboxId = :mailbox and s.ruleId = :rule and s.kind = :kind and s.releasedBy is not null"
            + " and s.edited = false and s.state in (READY, SENDING, SENT, UNCERTAIN)";

    private final EntityManager entities;

    SentSoFar(EntityManager entities) {
        this.entities = entities;
    }

    int ofMailbox(UUID mailbox, Instant since) {
        return entities.createQuery(LEFT, Long.class)
                .setParameter("mailbox", mailbox)
                .setParameter("since", since)
                .getSingleResult()
                .intValue();
    }

    int ofRule(UUID mailbox, String rule, Instant since) {
        return entities.createQuery(LEFT + " and s.ruleId = :rule", Long.class)
                .setParameter("mailbox", mailbox)
                .setParameter("since", since)
                .setParameter("rule", rule)
                .getSingleResult()
                .intValue();
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
