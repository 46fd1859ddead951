package app.jubek.core.criteria;

import java.util.List;
import java.util.Locale;

/**
 * A part of the message that has text.
 *
 * @param field the header field's name, lower case, of {@link Kind#FIELD} and {@link Kind#ADDRESS}; the name of the date
 *     part and its zone of the dates; else empty
 * @param piece which piece of the addresses, of {@link Kind#ADDRESS} and the envelope
 */
public record Part(Kind kind, String field, Piece piece) {

    /** What it is. */
    public enum Kind {
        SENDER("the sender's address"),
        SENDER_NAME("the sender's name"),
        RECIPIENT("a recipient's address"),
        RECIPIENT_NAME("a recipient's name"),
        TO("an address in To"),
        TO_NAME("a name in To"),
        CC("an address in Cc"),
        CC_NAME("a name in Cc"),
        ANY_ADDRESS("any address"),
        SUBJECT("the subject"),
        BARE_SUBJECT("the subject without its prefixes"),
        TEXT("the text"),
        ADDED_TEXT("what the writer added"),
        SUBJECT_OR_TEXT("the subject or text"),
        SUBJECT_OR_ADDED_TEXT("the subject or what the writer added"),
        FIELD("the field"),
        ADDRESS("the addresses in"),
        RETURN_PATH("the return path"),
        DELIVERED_TO("the address it was delivered to"),
        ATTACHMENT_NAME("an attachment's name"),
        ATTACHMENT_TYPE("an attachment's type"),
        MAILBOX("the mailbox"),
        FOLDER("the folder"),
        DATE("the date");

        private final String words;

        Kind(String words) {
            this.words = words;
        }
    }

    /** A piece of an address (RFC 5228 §2.7.4, RFC 5233 §4). */
    public enum Piece {
        ALL,
        LOCAL,
        DOMAIN,
        USER,
        DETAIL
    }

    public Part {
        field = field.toLowerCase(Locale.ROOT);
    }

    public static Part of(Kind kind) {
        return new Part(kind, "", Piece.ALL);
    }

    public static Part field(String name) {
        return new Part(Kind.FIELD, name, Piece.ALL);
    }

    public static Part address(String field, Piece piece) {
        return new Part(Kind.ADDRESS, field, piece);
    }

    /** The parts that are looked at one by one. */
    public List<Part> atoms() {
        return switch (kind) {
            case SUBJECT_OR_TEXT -> List.of(of(Kind.SUBJECT), of(Kind.TEXT));
            case SUBJECT_OR_ADDED_TEXT -> List.of(of(Kind.SUBJECT), of(Kind.ADDED_TEXT));
            default -> List.of(this);
        };
    }

    public String inWords() {
        String named = field.isEmpty() ? kind.words : kind.words + " " + field;
        return piece == Piece.ALL ? named : named + " (" + piece.name().toLowerCase(Locale.ROOT) + ")";
    }
}
