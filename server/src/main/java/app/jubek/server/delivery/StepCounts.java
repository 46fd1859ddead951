package app.jubek.server.delivery;

import io.micrometer.core.instrument.MeterRegistry;
import java.util.Locale;
import org.springframework.stereotype.Component;

/** Counts steps as they come to an end, for whoever watches the server. */
@Component
class StepCounts {
    private final MeterRegistry registry;

    StepCounts(MeterRegistry registry) {
        this.registry = registry;
    }

    void settled(StepEntity step) {
        registry.counter(
                        "jubek.steps",
                        "kind",
                        step.kind().name().toLowerCase(Locale.ROOT),
                        "state",
                        step.state().name().toLowerCase(Locale.ROOT))
                .increment();
    }
}
