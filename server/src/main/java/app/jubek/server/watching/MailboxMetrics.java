package app.jubek.server.watching;

import app.jubek.server.mailbox.Mailboxes;
import io.micrometer.core.instrument.MeterRegistry;
import io.micrometer.core.instrument.MultiGauge;
import io.micrometer.core.instrument.Tags;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.springframework.dao.DataAccessException;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionException;

/** How long ago each mailbox's server was last heard of. */
@Component
class MailboxMetrics {
    private final Mailboxes mailboxes;
    private final Clock clock;
    private final MultiGauge age;

    MailboxMetrics(Mailboxes mailboxes, Clock clock, MeterRegistry registry) {
        this.mailboxes = mailboxes;
        this.clock = clock;
        this.age = MultiGauge.builder("jubek.mailbox.contact.age")
                .description("since the mail server was last heard of")
                .baseUnit("seconds")
                .register(registry);
    }

    @Scheduled(fixedDelay = 5, timeUnit = TimeUnit.SECONDS)
    void look() {
        try {
            Instant now = clock.instant();
            List<MultiGauge.Row<?>> rows = mailboxes.lastContacts().entrySet().stream()
                    .<MultiGauge.Row<?>>map(heard -> MultiGauge.Row.of(
                            Tags.of("mailbox", heard.getKey()),
                            Duration.between(heard.getValue(), now).toMillis() / 1_000.0))
                    .toList();
            age.register(rows, true);
        } catch (DataAccessException | TransactionException away) {
            age.register(List.of(), true);
        }
    }
}
