package app.jubek.server.testmail;

import app.jubek.core.rule.RuleId;
import app.jubek.core.trial.Expectation;
import app.jubek.core.wording.Statement;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;

/**
 * A trial that was sent for real.
 *
 * @param mailbox that it was sent to
 * @param rules that are judged as if they were on, for this one message
 * @param fault why it could not be sent
 * @param cleaned when it was cleaned up after
 */
public record SentTest(
        UUID id,
        UUID mailbox,
        UUID trial,
        String name,
        String sender,
        String messageId,
        Set<RuleId> rules,
        List<Expectation> expectations,
        Instant at,
        String by,
        Optional<Statement> fault,
        Optional<CameIn> cameIn,
        Optional<Instant> cleaned) {

    /**
     * @param message empty once it was cleared away for its age
     * @param unmet what of the expectations was not so
     */
    public record CameIn(Optional<Long> message, Instant at, List<Expectation> unmet) {}
}
