package app.jubek.server.clearance;

import app.jubek.core.address.MailAddress;
import app.jubek.core.safety.Outgoing;
import app.jubek.core.step.Release;
import app.jubek.server.step.Work;
import java.time.Instant;
import java.util.Optional;

/**
 * What is about to leave.
 *
 * @param message that it hands on or answers
 * @param sender of the envelope; empty for the null path
 * @param planned when it was written
 * @param releaseAt when it was to go out, where that was not at once
 * @param approved a person let it go
 * @param received when the message came in that it hands on or answers
 * @param restored the database was restored since then, so that what it says of it may be old
 */
public record Leaving(
        long message,
        String rule,
        Work kind,
        String recipient,
        String sender,
        Release release,
        Instant planned,
        Optional<Instant> releaseAt,
        boolean approved,
        Instant received,
        boolean restored) {

    Outgoing outgoing() {
        MailAddress to = MailAddress.of(recipient);
        Optional<MailAddress> from =
                Optional.of(sender).filter(s -> !s.isEmpty()).map(MailAddress::of);
        return kind.handsOn() ? new Outgoing.HandedOn(to, from) : new Outgoing.Answer(to, from);
    }
}
