package app.jubek.server.queue;

import app.jubek.server.signals.Signal;
import app.jubek.server.signals.Signals;
import io.micrometer.core.instrument.MeterRegistry;
import java.util.Locale;
import org.springframework.stereotype.Component;

/** Tells of steps that come to an end: counted for whoever watches the server, and to the pages that are open. */
@Component
class StepCounts {
    private final MeterRegistry registry;
    private final Signals signals;

    StepCounts(MeterRegistry registry, Signals signals) {
        this.registry = registry;
        this.signals = signals;
    }

    void settled(StepEntity step) {
        registry.counter(
                        "jubek.steps",
                        "kind",
                        step.kind().name().toLowerCase(Locale.ROOT),
                        "state",
                        step.state().name().toLowerCase(Locale.ROOT))
                .increment();
        changed(step);
    }

    /** It stands where it did not stand before. */
    void changed(StepEntity step) {
        signals.sendSoon(new Signal(Signal.Topic.STEPS, step.mailboxId()));
    }
}
