package app.jubek.core.step;

import java.util.EnumSet;
import java.util.Map;
import java.util.Set;

/** Where a step stands, and the one table of allowed changes. */
public enum StepState {
    PLANNED,
    HELD,
    READY,
    SENDING,
    SENT,
    UNCERTAIN,
    FAILED,
    WITHHELD,
    DISCARDED,
    UNDONE;

    private static final Map<StepState, Set<StepState>> ALLOWED = Map.of(
            PLANNED, EnumSet.of(HELD, READY, WITHHELD, DISCARDED),
            HELD, EnumSet.of(READY, DISCARDED),
            READY, EnumSet.of(SENDING, HELD, WITHHELD, DISCARDED),
            SENDING, EnumSet.of(SENT, READY, UNCERTAIN, FAILED, DISCARDED),
            SENT, EnumSet.of(UNDONE, FAILED),
            UNCERTAIN, EnumSet.of(READY, SENT, FAILED, DISCARDED),
            FAILED, EnumSet.of(READY, DISCARDED),
            WITHHELD, EnumSet.noneOf(StepState.class),
            DISCARDED, EnumSet.noneOf(StepState.class),
            UNDONE, EnumSet.noneOf(StepState.class));

    public boolean mayBecome(StepState next) {
        return ALLOWED.get(this).contains(next);
    }

    /**
     * @throws IllegalStateException when the table does not allow the change
     */
    public StepState become(StepState next) {
        if (!mayBecome(next)) {
            throw new IllegalStateException("a step that is " + this + " can't become " + next);
        }
        return next;
    }

    /** Whether nothing more happens to it by itself. */
    public boolean isSettled() {
        return this != PLANNED && this != READY && this != SENDING;
    }
}
