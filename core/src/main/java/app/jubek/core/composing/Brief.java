package app.jubek.core.composing;

import app.jubek.core.message.AddedText;
import app.jubek.core.text.Pieces;
import app.jubek.core.text.Unsafe;

/**
 * What a composing service is told, and all that it is told: no address, no document, nothing quoted.
 *
 * @param instruction of the rule's maker
 * @param subject of the message
 * @param message what its writer added, at most 20,000 characters
 * @param reply the text that the rule would send by itself, at most 20,000 characters
 */
public record Brief(String instruction, String subject, String message, String reply) {
    private static final int LONGEST = 20_000;

    public Brief {
        message = cut(message);
        reply = cut(reply);
    }

    /**
     * @param text of the whole message
     */
    public static Brief of(String instruction, String subject, String text, String reply) {
        return new Brief(instruction, Unsafe.removed(subject), AddedText.of(text), reply);
    }

    /** The text of a source. */
    String text(Source.From from) {
        return switch (from) {
            case MESSAGE -> subject + "\n" + message;
            case REPLY -> reply;
            case INSTRUCTION -> instruction;
            default -> "";
        };
    }

    private static String cut(String text) {
        String clean = Pieces.replaced(text.replace("\r\n", "\n"), sign -> sign != '\n' && Unsafe.is(sign), " ")
                .strip();
        return clean.substring(0, Math.min(clean.length(), LONGEST));
    }
}
