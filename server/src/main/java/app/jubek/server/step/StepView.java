package app.jubek.server.step;

import app.jubek.core.step.StepState;
import app.jubek.core.wording.Statement;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/**
 * One step as screens show it.
 *
 * @param done what it does, as a participle
 * @param hasMail whether the message that left, or that would, can be looked at
 * @param because why it is where it is, where there is something to say
 * @param source what asks for a step to be withheld or held, such as "RFC 3834 §2"
 * @param advice what a person can do about it
 * @param release when its rule sends it
 * @param releaseAt when it goes out by itself, of one that waits for its time
 * @param releasedBy who let it go, or wanted it undone
 * @param edited whether a person wrote it anew
 * @param mayBeEdited whether a person may
 * @param mayBeUndone whether it was done in the mailbox, so that it can be changed back
 * @param acts what a person may do with it now
 */
public record StepView(
        UUID id,
        long message,
        String rule,
        int ruleVersion,
        String ruleName,
        Work kind,
        Statement done,
        String recipient,
        StepState state,
        boolean hasMail,
        Optional<Statement> because,
        Optional<String> source,
        Optional<Statement> advice,
        int attempts,
        Instant plannedAt,
        Optional<Instant> settledAt,
        Statement release,
        Optional<Instant> releaseAt,
        Optional<String> releasedBy,
        boolean edited,
        boolean mayBeEdited,
        boolean mayBeUndone,
        List<Act> acts) {

    /** What a person may do with a step that waits, has failed, or was withheld. */
    public enum Act {
        SEND_NOW,
        STOP,
        TRY_AGAIN,
        FORWARD_INSTEAD,
        ANSWER_ANYWAY,
        BRING_BACK,
        DEALT_WITH,
        LEAVE,
        DISCARD
    }
}
