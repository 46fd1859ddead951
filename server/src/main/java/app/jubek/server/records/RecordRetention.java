package app.jubek.server.records;

import app.jubek.core.step.StepState;
import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.platform.JubekProperties;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Removes records after {@code jubek.keep-records}, but not before the mail itself, some at a time: the steps that are over, and of messages on which no
 * step is left who wrote them, to whom and about what. Their digests stay, so that none of them is ever decided again.
 */
@Component
class RecordRetention {
    private static final Logger LOG = LoggerFactory.getLogger(RecordRetention.class);
    private static final int AT_ONCE = 500;
    private static final Set<StepState> OVER =
            EnumSet.complementOf(EnumSet.of(StepState.READY, StepState.SENDING, StepState.HELD, StepState.PLANNED));

    private final EntityManager entities;
    private final Mailboxes mailboxes;
    private final JubekProperties properties;
    private final TransactionTemplate transaction;
    private final Clock clock;

    RecordRetention(
            EntityManager entities,
            Mailboxes mailboxes,
            JubekProperties properties,
            TransactionTemplate transaction,
            Clock clock) {
        this.entities = entities;
        this.mailboxes = mailboxes;
        this.properties = properties;
        this.transaction = transaction;
        this.clock = clock;
    }

    @Scheduled(fixedDelayString = "${jubek.upkeep-interval}", initialDelayString = "${jubek.upkeep-interval}")
    void clear() {
        Duration kept = Collections.max(List.of(properties.keepRecords(), properties.keepMail()));
        Instant before = clock.instant().minus(kept);
        mailboxes.all().stream().map(Mailbox::id).forEach(mailbox -> clear(mailbox, before));
    }

    /** Returns how many steps were removed. */
    int clear(UUID mailbox, Instant before) {
        int removed = 0;
        int now = AT_ONCE;
        while (now == AT_ONCE) {
            now = transaction.execute(status -> removeSome(mailbox, before));
            removed += now;
        }
        int blanked = AT_ONCE;
        while (blanked == AT_ONCE) {
            blanked = transaction.execute(status -> blankSome(mailbox, before));
        }
        if (removed > 0) {
            LOG.info("removed {} records older than {}", removed, properties.keepRecords());
        }
        return removed;
    }

    private int removeSome(UUID mailbox, Instant before) {
        List<UUID> ids = entities.createQuery(
                        "select s.id from StepEntity s where s.mailboxId = :mailbox and s.plannedAt < :before"
                                + " and s.state in :over order by s.plannedAt",
                        UUID.class)
                .setParameter("mailbox", mailbox)
                .setParameter("before", before)
                .setParameter("over", OVER)
                .setMaxResults(AT_ONCE)
                .getResultList();
        if (!ids.isEmpty()) {
            entities.createQuery("delete from StepEntity s where s.id in :ids")
                    .setParameter("ids", ids)
                    .executeUpdate();
        }
        return ids.size();
    }

    private int blankSome(UUID mailbox, Instant before) {
        List<Long> ids = entities.createQuery(
                        "select m.id from MessageEntity m where m.mailboxId = :mailbox and m.receivedAt < :before"
                                + " and m.status <> PAST and (m.parts is not null or m.decision is not null)"
                                + " and m.goneAt is not null"
                                + " and not exists (select 1 from StepEntity s where s.messageId = m.id)",
                        Long.class)
                .setParameter("mailbox", mailbox)
                .setParameter("before", before)
                .setMaxResults(AT_ONCE)
                .getResultList();
        if (!ids.isEmpty()) {
            entities.createQuery("update MessageEntity m set m.senderNames = array(), m.senders = array(),"
                            + " m.recipients = array(), m.texts = array(), m.subject = '', m.messageId = null,"
                            + " m.parts = null, m.decision = null where m.id in :ids")
                    .setParameter("ids", ids)
                    .executeUpdate();
        }
        return ids.size();
    }
}
