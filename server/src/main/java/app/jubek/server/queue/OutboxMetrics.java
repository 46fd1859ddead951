package app.jubek.server.queue;

import app.jubek.core.step.StepState;
import io.micrometer.core.instrument.Gauge;
import io.micrometer.core.instrument.MeterRegistry;
import io.micrometer.core.instrument.binder.MeterBinder;
import java.time.Clock;
import java.time.Duration;
import java.util.Set;
import java.util.function.DoubleSupplier;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;

/** How much waits to be done, and how long the oldest of it has waited. Asked of the database when it is looked at. */
@Component
class OutboxMetrics implements MeterBinder {
    private static final Set<StepState> OPEN = Set.of(StepState.READY, StepState.SENDING);

    private final StepRepository steps;
    private final Clock clock;

    OutboxMetrics(StepRepository steps, Clock clock) {
        this.steps = steps;
        this.clock = clock;
    }

    @Override
    public void bindTo(MeterRegistry registry) {
        Gauge.builder("jubek.outbox.waiting", () -> ask(() -> steps.countByStateIn(OPEN)))
                .description("steps that are ready or being done")
                .register(registry);
        Gauge.builder("jubek.outbox.oldest", () -> ask(this::oldest))
                .description("how long the oldest of them has waited")
                .baseUnit("seconds")
                .register(registry);
        Gauge.builder("jubek.outbox.held", () -> ask(() -> steps.countByStateIn(Set.of(StepState.HELD))))
                .description("steps that wait for a person")
                .register(registry);
    }

    private double oldest() {
        return steps.firstPlanned(OPEN)
                .map(planned -> Duration.between(planned, clock.instant()).toMillis() / 1_000.0)
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
