package app.jubek.server.delivery;

import app.jubek.core.step.StepState;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;

/**
 * One step as screens show it.
 *
 * @param words what it does, as a participle
 * @param note why it stands where it stands; empty when there is nothing to say
 * @param advice what a person can do about it; empty when there is nothing to do
 * @param acts what a person may do with it now
 */
public record StepView(
        UUID id,
        long message,
        String rule,
        int ruleVersion,
        String ruleName,
        Work kind,
        String words,
        String recipient,
        StepState state,
        String note,
        String advice,
        int attempts,
        Instant plannedAt,
        Optional<Instant> settledAt,
        java.util.List<Act> acts) {

    /** What a person may do with a step that waits or has failed. */
    public enum Act {
        LET_GO,
        TRY_AGAIN,
        FORWARD_INSTEAD,
        DROP
    }
}
