package app.jubek.server.intake;

import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.platform.JubekProperties;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Clears old mail away, some at a time: octets and evidence after {@code jubek.keep-mail}, but nothing while a step of
 * the message is open. The records stay.
 */
@Service
public class Retention {
    private static final Logger LOG = LoggerFactory.getLogger(Retention.class);
    private static final int AT_ONCE = 500;
    private static final String OPEN =
            "exists (select 1 from step s where s.message_id = %s and s.state in ('READY','SENDING','HELD'))";

    private final JdbcClient jdbc;
    private final Mailboxes mailboxes;
    private final JubekProperties properties;
    private final TransactionTemplate transaction;
    private final Clock clock;

    Retention(
            JdbcClient jdbc,
            Mailboxes mailboxes,
            JubekProperties properties,
            TransactionTemplate transaction,
            Clock clock) {
        this.jdbc = jdbc;
        this.mailboxes = mailboxes;
        this.properties = properties;
        this.transaction = transaction;
        this.clock = clock;
    }

    @Scheduled(fixedDelayString = "${jubek.upkeep-interval}", initialDelayString = "${jubek.upkeep-interval}")
    void clear() {
        Instant before = clock.instant().minus(properties.keepMail());
        mailboxes.all().stream().map(Mailbox::id).forEach(mailbox -> clear(mailbox, before));
    }

    /** Returns how many messages lost their octets or left the evidence. */
    int clear(UUID mailbox, Instant before) {
        int cleared = 0;
        int now = AT_ONCE;
        while (now == AT_ONCE) {
            now = some(mailbox, before);
            cleared += now;
        }
        if (cleared > 0) {
            LOG.info("cleared away {} messages older than {}", cleared, properties.keepMail());
        }
        return cleared;
    }

    private int some(UUID mailbox, Instant before) {
        return transaction.execute(status -> {
            var ids = jdbc.sql("select id from message where mailbox_id = ? and received_at < ?"
                            + " and (standing = 'PAST' or exists (select 1 from message_octets o where o.message_id = id))"
                            + " and not " + OPEN.formatted("message.id") + " limit " + AT_ONCE
                            + " for update skip locked")
                    .params(mailbox, Timestamp.from(before))
                    .query(Long.class)
                    .list();
            if (!ids.isEmpty()) {
                delete(ids);
                mailboxes.evidenceChanged(mailbox);
            }
            return ids.size();
        });
    }

    private void delete(java.util.List<Long> ids) {
        jdbc.sql("delete from message where id in (:ids) and standing = 'PAST'")
                .param("ids", ids)
                .update();
        jdbc.sql("delete from message_octets where message_id in (:ids)")
                .param("ids", ids)
                .update();
        jdbc.sql("delete from step_octets where step_id in (select id from step where message_id in (:ids))")
                .param("ids", ids)
                .update();
        jdbc.sql("update message set texts = '{}', gone_at = coalesce(gone_at, now()) where id in (:ids)")
                .param("ids", ids)
                .update();
    }
}
