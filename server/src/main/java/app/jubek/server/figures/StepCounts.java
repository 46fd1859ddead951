package app.jubek.server.figures;

import app.jubek.core.step.StepState;
import app.jubek.server.signals.Signal;
import app.jubek.server.signals.Signals;
import app.jubek.server.step.Work;
import io.micrometer.core.instrument.MeterRegistry;
import java.util.Locale;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Tells of steps that come to an end: counted for whoever watches the server, and to the pages that are open. */
@Component
public class StepCounts {
    private final MeterRegistry registry;
    private final Signals signals;

    StepCounts(MeterRegistry registry, Signals signals) {
        this.registry = registry;
        this.signals = signals;
    }

    public void settled(UUID mailbox, Work kind, StepState state) {
        registry.counter(
                        "jubek.steps",
                        "kind",
                        kind.name().toLowerCase(Locale.ROOT),
                        "state",
                        state.name().toLowerCase(Locale.ROOT))
                .increment();
        changed(mailbox);
    }

    /** A step stands where it did not stand before. */
    public void changed(UUID mailbox) {
        signals.sendSoon(new Signal(Signal.Topic.STEPS, mailbox));
    }
}
