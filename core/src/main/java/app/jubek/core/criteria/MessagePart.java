package app.jubek.core.criteria;

import app.jubek.core.wording.Code;
import app.jubek.core.wording.Statement;
import java.util.List;
import java.util.Locale;

/**
 * A part of the message that has text.
 *
 * @param field the header field's name, lower case, of {@link Kind#FIELD} and {@link Kind#ADDRESS}; the name of the date
 *     part and its zone of the dates; else empty
 * @param piece which piece of the addresses, of {@link Kind#ADDRESS} and the envelope
 */
public record MessagePart(Kind kind, String field, Piece piece) {

    /** What it is. */
    public enum Kind implements Code {
        SENDER,
        SENDER_NAME,
        RECIPIENT,
        RECIPIENT_NAME,
        TO,
        TO_NAME,
        CC,
        CC_NAME,
        ANY_ADDRESS,
        SUBJECT,
        BARE_SUBJECT,
        TEXT,
        ADDED_TEXT,
        SUBJECT_OR_TEXT,
        SUBJECT_OR_ADDED_TEXT,
        FIELD,
        ADDRESS,
        RETURN_PATH,
        DELIVERED_TO,
        ATTACHMENT_NAME,
        ATTACHMENT_TYPE,
        MAILBOX,
        FOLDER,
        DATE;

        @Override
        public String id() {
            return "PART_" + name();
        }
    }

    /** A piece of an address (RFC 5228 §2.7.4, RFC 5233 §4). */
    public enum Piece implements Code {
        ALL,
        LOCAL,
        DOMAIN,
        USER,
        DETAIL;

        @Override
        public String id() {
            return "PIECE_" + name();
        }
    }

    public MessagePart {
        field = field.toLowerCase(Locale.ROOT);
    }

    public static MessagePart of(Kind kind) {
        return new MessagePart(kind, "", Piece.ALL);
    }

    public static MessagePart field(String name) {
        return new MessagePart(Kind.FIELD, name, Piece.ALL);
    }

    public static MessagePart address(String field, Piece piece) {
        return new MessagePart(Kind.ADDRESS, field, piece);
    }

    /** The parts that are looked at one by one. */
    public List<MessagePart> atoms() {
        return switch (kind) {
            case SUBJECT_OR_TEXT -> List.of(of(Kind.SUBJECT), of(Kind.TEXT));
            case SUBJECT_OR_ADDED_TEXT -> List.of(of(Kind.SUBJECT), of(Kind.ADDED_TEXT));
            default -> List.of(this);
        };
    }

    public Statement statement() {
        Statement named = field.isEmpty() ? kind.with() : CriterionPhrase.PART_NAMED.with(kind, field);
        return piece == Piece.ALL ? named : CriterionPhrase.PART_PIECE.with(named, piece);
    }
}
