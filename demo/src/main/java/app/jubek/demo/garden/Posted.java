package app.jubek.demo.garden;

import java.time.Instant;
import java.util.Random;

/** A message that somebody hands in at the post office at a moment. */
public final class Posted {
    private final Draft draft;
    private final Instant at;
    private final int number;

    Posted(Draft draft, Instant at, int number) {
        this.draft = draft;
        this.at = at;
        this.number = number;
    }

    /**
     * Of any kind, as mail of the desk comes.
     *
     * @param number names it and chooses its kind; the same number gives the same message
     */
    public static Posted any(int number, Instant at) {
        return new Posted(new Kinds(new Random(GardenMail.SEED + number), at).next(at), at, number);
    }

    public Instant at() {
        return at;
    }

    /** The reverse path; empty for the null one. */
    public String from() {
        return draft.returnPath();
    }

    /** Where it is handed to; a list hands its mail on to the desk. */
    public String to() {
        return GardenMail.ALIASES.containsKey(draft.to()) ? draft.to() : GardenMail.VISITS;
    }

    public byte[] bytes() {
        return Rendering.handedIn(draft, at, number);
    }
}
