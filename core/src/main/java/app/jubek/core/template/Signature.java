package app.jubek.core.template;

import java.util.Optional;

/**
 * What stands under an answer.
 *
 * @param text plain text with fields; may be empty
 * @param picture shown below it in the rich form
 */
public record Signature(String text, Optional<DocumentId> picture) {
    public static Signature none() {
        return new Signature("", Optional.empty());
    }
}
