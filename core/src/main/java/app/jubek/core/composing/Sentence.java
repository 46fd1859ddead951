package app.jubek.core.composing;

import java.util.Optional;

/**
 * One sentence of a composed reply.
 *
 * @param source what bears it out; empty where nothing does
 */
public record Sentence(String text, Begins begins, Optional<Source> source) {
    /** What stands before a sentence that is not the first. */
    public enum Begins {
        AFTER_SPACE(" "),
        LINE("\n"),
        PARAGRAPH("\n\n");

        private final String before;

        Begins(String before) {
            this.before = before;
        }

        String before() {
            return before;
        }
    }
}
