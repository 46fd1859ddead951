package app.jubek.server.step;

import app.jubek.core.plan.PlannedStep;
import app.jubek.core.plan.Sending;
import app.jubek.core.step.Step;

/**
 * What the outbox carries out: the kinds of step, copies of answers, filing in another mailbox, bringing back what could
 * not be handed on, and undoing what was done.
 */
public enum Work {
    FORWARD,
    REDIRECT,
    REPLY,
    ANSWER_COPY,
    NOTIFY,
    OUT_OF_JUNK,
    MARK,
    COPY,
    FILE,
    FILE_ELSEWHERE,
    ARCHIVE,
    TRASH,
    DELETE,
    BRING_BACK,
    FOLLOW_UP,
    UNDO;

    /** What carries out a planned step. */
    public static Work of(PlannedStep planned) {
        if (planned.sending().filter(Sending::isCopy).isPresent()) {
            return ANSWER_COPY;
        }
        boolean elsewhere = planned.step() instanceof Step.File file
                && file.target().mailbox().isPresent();
        return elsewhere ? FILE_ELSEWHERE : valueOf(planned.step().kind().name());
    }

    /** Whether it changes the mailbox in a way that can be changed back. */
    public boolean mayBeUndone() {
        return switch (this) {
            case OUT_OF_JUNK, MARK, COPY, FILE, ARCHIVE, TRASH -> true;
            default -> false;
        };
    }

    public boolean leaves() {
        return handsOn() || this == REPLY;
    }

    /** Whether somebody else is to deal with the message, so that it has to come back when that fails. */
    public boolean handsOver() {
        return this == FORWARD || this == REDIRECT;
    }

    /** Whether it may only go where mail may be handed on to. */
    public boolean handsOn() {
        return handsOver() || this == ANSWER_COPY;
    }
}
