package app.jubek.server.delivery;

import io.micrometer.core.instrument.Gauge;
import io.micrometer.core.instrument.MeterRegistry;
import io.micrometer.core.instrument.binder.MeterBinder;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** How much waits to be done, and how long the oldest of it has waited. Asked of the database when it is looked at. */
@Component
class OutboxMetrics implements MeterBinder {
    private static final String OPEN = " from step where state in ('READY', 'SENDING')";

    private final JdbcClient jdbc;

    OutboxMetrics(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    @Override
    public void bindTo(MeterRegistry registry) {
        Gauge.builder("jubek.outbox.waiting", () -> ask("select count(*)" + OPEN))
                .description("steps that are ready or being done")
                .register(registry);
        Gauge.builder(
                        "jubek.outbox.oldest",
                        () -> ask("select coalesce(extract(epoch from now() - min(planned_at)), 0)" + OPEN))
                .description("how long the oldest of them has waited")
                .baseUnit("seconds")
                .register(registry);
        Gauge.builder("jubek.outbox.held", () -> ask("select count(*) from step where state = 'HELD'"))
                .description("steps that wait for a person")
                .register(registry);
    }

    private double ask(String question) {
        try {
            return jdbc.sql(question).query(Double.class).single();
        } catch (DataAccessException away) {
            return Double.NaN;
        }
    }
}
