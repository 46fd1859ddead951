package app.jubek.server.undo;

import app.jubek.core.plan.UndoObstacle;
import app.jubek.core.step.StepState;
import app.jubek.server.mailbox.Fetched;
import app.jubek.server.step.Work;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A step that somebody wants undone.
 *
 * @param traced whether it is known how things were before
 * @param underWay whether it is being undone
 */
record DoneStep(
        UUID id,
        long message,
        Work kind,
        StepState state,
        String subject,
        @Nullable String afterFolder,
        @Nullable Long afterValidity,
        @Nullable Long afterUid,
        boolean traced,
        boolean underWay) {

    /** Where its message or copy was put. */
    Optional<Fetched.Place> after() {
        return afterFolder == null || afterValidity == null || afterUid == null
                ? Optional.empty()
                : Optional.of(new Fetched.Place(afterFolder, afterValidity, afterUid));
    }

    /** Why it can't be undone, as far as is known without looking into the mailbox. */
    Optional<UndoObstacle> obstacle() {
        if (state == StepState.UNDONE) {
            return Optional.of(UndoObstacle.ALREADY_UNDONE);
        }
        if (state != StepState.SENT) {
            return Optional.of(UndoObstacle.NOT_DONE);
        }
        if (!kind.mayBeUndone()) {
            return Optional.of(ofKind());
        }
        if (!traced) {
            return Optional.of(UndoObstacle.NOT_NOTED);
        }
        return underWay ? Optional.of(UndoObstacle.UNDER_WAY) : Optional.empty();
    }

    private UndoObstacle ofKind() {
        return switch (kind) {
            case FORWARD, REDIRECT, REPLY, ANSWER_COPY -> UndoObstacle.HAS_LEFT;
            case DELETE -> UndoObstacle.DELETED_FOR_GOOD;
            case FILE_ELSEWHERE -> UndoObstacle.IN_OTHER_MAILBOX;
            default -> UndoObstacle.NOTHING_TO_UNDO;
        };
    }
}
