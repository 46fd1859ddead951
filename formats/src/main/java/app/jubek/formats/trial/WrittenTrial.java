package app.jubek.formats.trial;

import app.jubek.core.trial.Expectation;
import java.time.Instant;
import java.util.List;

/**
 * What a trial says beside its message.
 *
 * @param name what it is called
 * @param at when the message comes in
 * @param conversation whether it counts as an answer to something that the mailbox sent
 * @param expectations at least one
 */
public record WrittenTrial(String name, Instant at, boolean conversation, List<Expectation> expectations) {
    public WrittenTrial {
        expectations = List.copyOf(expectations);
    }
}
