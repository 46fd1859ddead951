package app.jubek.core.step;

import app.jubek.core.schedule.Opening;
import app.jubek.core.wording.Statement;
import java.time.Instant;

/**
 * Brought back to the inbox, unread and flagged, unless somebody deals with the message in time: answers it from the
 * mailbox, answers what was handed on, or says that it is done.
 *
 * @param workingDays after the day on which it came in, 1 to 30; days on which the mailbox opens
 */
public record FollowUp(int workingDays) implements Step {
    private static final int MOST = 30;

    public FollowUp {
        if (workingDays < 1 || workingDays > MOST) {
            throw new IllegalArgumentException("a message comes back within 1 to " + MOST + " working days");
        }
    }

    /** The end of the last of its working days. */
    public Instant due(Instant cameIn, Opening opening) {
        return opening.endOfWorkingDay(cameIn, workingDays);
    }

    @Override
    public StepKind kind() {
        return StepKind.FOLLOW_UP;
    }

    @Override
    public Statement statement() {
        return StepPhrase.FOLLOWED_UP.with(workingDays);
    }
}
