package app.jubek.core.text;

/** How much work one message may cost. Whoever scans what came from outside asks it again and again. */
public interface Budget {
    /** Work without an end. */
    Budget UNLIMITED = () -> {};

    /** A text that is {@link #over metered} asks once in so many reads. */
    int READS = 1 << 14;

    /**
     * Asked inside every scan; cheap.
     *
     * @throws Spent when the work has cost too much
     */
    void ask();

    /** The work on one message was ended because it cost too much. */
    final class Spent extends RuntimeException {
        private static final long serialVersionUID = 1L;

        public Spent(String message) {
            super(message);
        }
    }

    /** A text that asks while it is looked at. */
    default CharSequence over(CharSequence text) {
        return this == UNLIMITED ? text : new MeteredText(text, this);
    }
}
