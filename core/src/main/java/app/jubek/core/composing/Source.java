package app.jubek.core.composing;

/**
 * What a sentence is said to come from.
 *
 * @param quote the words of it that bear the sentence out
 */
public record Source(From from, String quote) {
    /** The parts of a brief. */
    public enum From {
        MESSAGE,
        REPLY,
        INSTRUCTION
    }
}
