package app.jubek.core.arrival;

import app.jubek.core.message.ReadMessage;
import app.jubek.core.text.Pieces;
import app.jubek.core.text.WhiteSpace;
import java.util.Locale;
import java.util.Set;

/** What signatures of a message cover (RFC 6376). */
final class Signatures {
    private Signatures() {}

    /**
     * Whether a signature names fields that are to be absent, so that adding one of them breaks it (RFC 6376 §5.4).
     *
     * @param added names of fields, in lower case
     */
    public static boolean forbid(ReadMessage message, Set<String> added) {
        return message.values("DKIM-Signature").stream()
                .flatMap(value -> Pieces.between(value, ';').stream())
                .filter(tag -> Pieces.before(tag, '=').strip().equals("h") && tag.indexOf('=') >= 0)
                .flatMap(tag -> Pieces.between(tag.substring(tag.indexOf('=') + 1), ':').stream())
                .map(name -> String.join("", WhiteSpace.words(name)).toLowerCase(Locale.ROOT))
                .anyMatch(added::contains);
    }
}
