package app.jubek.server.delivery;

import app.jubek.core.plan.PlannedStep;
import app.jubek.core.plan.Sending;

/** What the outbox carries out: the kinds of step, copies of answers, and bringing back what could not be handed on. */
public enum Work {
    FORWARD,
    REDIRECT,
    REPLY,
    ANSWER_COPY,
    TELL,
    COPY,
    FILE,
    ARCHIVE,
    TRASH,
    DELETE,
    MARK,
    BRING_BACK;

    static Work of(PlannedStep planned) {
        return planned.sending().filter(Sending::isCopy).isPresent()
                ? ANSWER_COPY
                : valueOf(planned.step().kind().name());
    }

    public boolean leaves() {
        return handsOn() || this == REPLY;
    }

    /** Whether somebody else is to deal with the message, so that it has to come back when that fails. */
    boolean handsOver() {
        return this == FORWARD || this == REDIRECT;
    }

    /** Whether it may only go where mail may be handed on to. */
    boolean handsOn() {
        return handsOver() || this == ANSWER_COPY;
    }
}
