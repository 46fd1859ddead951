package app.jubek.server.mailbox;

import io.micrometer.core.instrument.MeterRegistry;
import io.micrometer.core.instrument.MultiGauge;
import io.micrometer.core.instrument.Tags;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionException;

/** How long ago each mailbox's server was last heard of. */
@Component
class MailboxMetrics {
    private final JdbcClient jdbc;
    private final MultiGauge age;

    MailboxMetrics(JdbcClient jdbc, MeterRegistry registry) {
        this.jdbc = jdbc;
        this.age = MultiGauge.builder("jubek.mailbox.contact.age")
                .description("since the mail server was last heard of")
                .baseUnit("seconds")
                .register(registry);
    }

    @Scheduled(fixedDelay = 5, timeUnit = TimeUnit.SECONDS)
    void look() {
        try {
            List<MultiGauge.Row<?>> rows = jdbc
                    .sql("select address, extract(epoch from now() - last_contact) from mailbox"
                            + " where last_contact is not null")
                    .query((row, n) -> MultiGauge.Row.of(Tags.of("mailbox", row.getString(1)), row.getDouble(2)))
                    .list()
                    .stream()
                    .<MultiGauge.Row<?>>map(row -> row)
                    .toList();
            age.register(rows, true);
        } catch (DataAccessException | TransactionException away) {
            age.register(List.of(), true);
        }
    }
}
