package app.jubek.core.rehearsal;

/** Sees how far a rehearsal has come, and may end it. */
@FunctionalInterface
public interface Watch {
    Watch NOBODY = done -> true;

    /**
     * @param done messages of both sides together
     * @return whether it is to go on
     */
    boolean goesOn(int done);
}
