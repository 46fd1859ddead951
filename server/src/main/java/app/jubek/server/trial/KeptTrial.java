package app.jubek.server.trial;

import app.jubek.core.trial.Expectation;
import app.jubek.formats.trial.WrittenTrial;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/**
 * A trial as it is kept, without its message.
 *
 * @param written its name, its instant and what must happen
 * @param revision counts its changes, from 1
 * @param heldWith the version of the rule book with which it held last
 */
record KeptTrial(
        UUID id, WrittenTrial written, Instant madeAt, String madeBy, int revision, Optional<Integer> heldWith) {
    List<Expectation> expectations() {
        return written.expectations();
    }

    /** The rule that it stands with: the first that it speaks of. */
    Optional<String> rule() {
        return expectations().stream()
                .filter(each -> each.fate() == Expectation.Fate.PICKED_BY)
                .map(Expectation::of)
                .findFirst();
    }

    boolean mustBePicked() {
        return expectations().stream().anyMatch(each -> each.fate() == Expectation.Fate.PICKED_BY && each.must());
    }
}
