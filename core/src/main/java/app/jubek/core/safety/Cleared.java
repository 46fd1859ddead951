package app.jubek.core.safety;

/** Permission for one thing to leave, given by {@link Clearance} alone; delivery takes nothing else. */
public final class Cleared {
    private final Outgoing outgoing;

    Cleared(Outgoing outgoing) {
        this.outgoing = outgoing;
    }

    public Outgoing outgoing() {
        return outgoing;
    }
}
