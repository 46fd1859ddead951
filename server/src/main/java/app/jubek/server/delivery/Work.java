package app.jubek.server.delivery;

import app.jubek.core.step.StepKind;

/** What the outbox carries out: the kinds of step, and bringing a message back after its hand-over failed. */
public enum Work {
    FORWARD,
    REDIRECT,
    REPLY,
    COPY,
    FILE,
    MARK,
    BRING_BACK;

    static Work of(StepKind kind) {
        return valueOf(kind.name());
    }

    public boolean leaves() {
        return handsOn() || this == REPLY;
    }

    boolean handsOn() {
        return this == FORWARD || this == REDIRECT;
    }
}
