package app.jubek.server.preview;

import app.jubek.core.decide.Decision;
import app.jubek.core.message.ByteSource;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.outgoing.Composer;
import app.jubek.core.outgoing.Redirected;
import app.jubek.core.plan.PlannedStep;
import app.jubek.core.reading.MessageReading;
import app.jubek.core.reading.TraceFields;
import app.jubek.core.step.Step;
import app.jubek.core.step.StepKind;
import app.jubek.core.text.Limits;
import app.jubek.core.view.AsReceived;
import app.jubek.server.deciding.Composers;
import app.jubek.server.mailbox.Mailbox;
import java.time.Instant;
import java.util.List;
import org.springframework.stereotype.Component;

/** Writes what would leave for a message, and reads it as its recipients would; nothing leaves. */
@Component
public class ComposedBeforehand {
    private final Composers composers;
    private final MessageReading reading = new MessageReading(Limits.standard());

    ComposedBeforehand(Composers composers) {
        this.composers = composers;
    }

    /** One message that would leave, as whoever gets it sees it. */
    public record Leaving(StepKind kind, String to, AsReceived shown, String text) {}

    public List<Leaving> of(Mailbox mailbox, ReadMessage message, ByteSource bytes, Decision decision, Instant now) {
        Composer.Original original = new Composer.Original(message, bytes, TraceFields.digestBelow(bytes));
        Composer composer = composers.of(mailbox).of(decision.planned());
        return decision.planned().stream()
                .filter(planned -> planned.sending().isPresent())
                .map(planned -> leaving(composer, planned, original, now))
                .toList();
    }

    private Leaving leaving(Composer composer, PlannedStep planned, Composer.Original original, Instant now) {
        ReadMessage read = reading.read(bytes(composer, planned, original, now).all());
        return new Leaving(
                planned.step().kind(),
                planned.sending().orElseThrow().to().address(),
                AsReceived.of(read),
                String.join("\n\n", read.texts()));
    }

    /** The bytes that would arrive of one step alone. */
    ByteSource bytes(Mailbox mailbox, PlannedStep planned, Composer.Original original, Instant now) {
        return bytes(composers.of(mailbox), planned, original, now);
    }

    private static ByteSource bytes(Composer composer, PlannedStep planned, Composer.Original original, Instant now) {
        ByteSource composed =
                ByteSource.of(composer.compose(planned, original, now).bytes());
        return planned.step() instanceof Step.Redirect ? new Redirected(composed, original.bytes()) : composed;
    }
}
