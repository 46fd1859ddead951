package app.jubek.server.intake;

import io.micrometer.core.instrument.Counter;
import io.micrometer.core.instrument.MeterRegistry;
import org.springframework.stereotype.Component;

/** Counts decisions, for whoever watches the server. */
@Component
class Decisions {
    private final Counter counter;

    Decisions(MeterRegistry registry) {
        counter = Counter.builder("jubek.decisions")
                .description("messages decided since the process began")
                .register(registry);
    }

    void increment() {
        counter.increment();
    }
}
