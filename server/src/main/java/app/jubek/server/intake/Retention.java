package app.jubek.server.intake;

import app.jubek.server.content.MessageContent;
import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.platform.JubekProperties;
import app.jubek.server.queue.Outbox;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.data.domain.Limit;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Clears old mail away, some at a time: bytes and evidence after {@code jubek.keep-mail}, but nothing while a step of
 * the message is open. The records stay.
 */
@Service
public class Retention {
    private static final Logger LOG = LoggerFactory.getLogger(Retention.class);
    private static final int AT_ONCE = 500;

    private final MessageRepository messages;
    private final MessageContent content;
    private final Outbox outbox;
    private final Mailboxes mailboxes;
    private final JubekProperties properties;
    private final TransactionTemplate transaction;
    private final Clock clock;

    Retention(
            MessageRepository messages,
            MessageContent content,
            Outbox outbox,
            Mailboxes mailboxes,
            JubekProperties properties,
            TransactionTemplate transaction,
            Clock clock) {
        this.messages = messages;
        this.content = content;
        this.outbox = outbox;
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

    /** Returns how many messages lost their bytes or left the evidence. */
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
            List<Long> ids = messages.toBeCleared(mailbox, before, Limit.of(AT_ONCE));
            if (!ids.isEmpty()) {
                outbox.clearContent(ids);
                content.remove(ids);
                messages.forgetPast(mailbox, ids);
                messages.clear(ids, clock.instant());
                mailboxes.evidenceChanged(mailbox);
            }
            return ids.size();
        });
    }
}
