package app.jubek.core.trial;

import app.jubek.core.sample.SampleMessage;
import app.jubek.core.wording.Statement;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/**
 * One thing that a trial of a rule should show.
 *
 * @param key the same as long as the rule stays as it is
 * @param shownBy the id of a trial that shows it
 * @param proposal of one that no trial shows, a message that would; empty where none was found or could be made up
 */
public record Case(String key, Statement what, Optional<String> shownBy, Optional<Proposal> proposal) {

    /** A message to keep, with what the rule makes of it now. */
    public sealed interface Proposal {
        List<Expectation> expectations();
    }

    /**
     * @param message the id of a past message
     * @param at when it comes in
     */
    public record Real(long message, Instant at, List<Expectation> expectations) implements Proposal {
        public Real {
            expectations = List.copyOf(expectations);
        }
    }

    /**
     * @param sample with the instant at which it comes in
     */
    public record Invented(SampleMessage sample, List<Expectation> expectations) implements Proposal {
        public Invented {
            expectations = List.copyOf(expectations);
        }
    }

    public boolean isMissing() {
        return shownBy.isEmpty();
    }
}
