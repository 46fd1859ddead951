package app.jubek.server.figures;

import app.jubek.core.step.StepState;
import io.micrometer.core.instrument.Gauge;
import io.micrometer.core.instrument.MeterRegistry;
import io.micrometer.core.instrument.binder.MeterBinder;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Set;
import java.util.function.DoubleSupplier;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;

/** How much waits to be done, and how long the oldest of it has waited. Asked of the database when it is looked at. */
@Component
class OutboxMetrics implements MeterBinder {
    private static final Set<StepState> OPEN = Set.of(StepState.READY, StepState.SENDING);

    private final WorkFigures figures;
    private final Clock clock;

    OutboxMetrics(WorkFigures figures, Clock clock) {
        this.figures = figures;
        this.clock = clock;
    }

    @Override
    public void bindTo(MeterRegistry registry) {
        Gauge.builder("jubek.outbox.waiting", () -> ask(() -> figures.steps(OPEN, clock.instant())))
                .description("steps that are ready or being done")
                .register(registry);
        Gauge.builder("jubek.outbox.oldest", () -> ask(this::oldest))
                .description("how long the oldest of them has waited")
                .baseUnit("seconds")
                .register(registry);
        Gauge.builder("jubek.outbox.held", () -> ask(() -> figures.steps(Set.of(StepState.HELD), clock.instant())))
                .description("steps that wait for a person")
                .register(registry);
    }

    private double oldest() {
        Instant now = clock.instant();
        return figures.firstPlanned(OPEN, now)
                .map(planned -> Duration.between(planned, now).toMillis() / 1_000.0)
                .orElse(0.0);
    }

    private static double ask(DoubleSupplier question) {
        try {
            return question.getAsDouble();
        } catch (DataAccessException away) {
            return Double.NaN;
        }
    }
}
