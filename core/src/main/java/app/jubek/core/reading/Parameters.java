package app.jubek.core.reading;

import app.jubek.core.message.Charsets;
import app.jubek.core.message.Comments;
import app.jubek.core.text.Limits;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * Parameters of Content-Type and Content-Disposition (RFC 2045 §5.1, RFC 2183), with values in pieces, charsets and
 * percent signs (RFC 2231 §3, §4). Of a parameter given twice the first counts.
 */
final class Parameters {
    private static final int PIECE_DIGITS = 6;

    private final Map<String, String> plain = new HashMap<>();
    private final Map<String, TreeMap<Integer, Piece>> inPieces = new HashMap<>();

    private boolean cut;

    private record Piece(String value, boolean encoded) {}

    private Parameters() {}

    static Parameters of(String field) {
        return of(field, Limits.standard().parameters());
    }

    /**
     * @param field the body of the field
     * @param most parameters that are read
     */
    static Parameters of(String field, int most) {
        Parameters all = new Parameters();
        ParameterScan scan = new ParameterScan(Comments.removed(field));
        for (int read = 0; read < most && scan.next(); read++) {
            all.take(scan.name().toLowerCase(Locale.ROOT), scan.value());
        }
        all.cut = scan.next();
        return all;
    }

    private void take(String name, String value) {
        int star = name.indexOf('*');
        if (star < 0) {
            plain.putIfAbsent(name, value);
            return;
        }
        boolean encoded = name.endsWith("*");
        String number = encoded && star == name.length() - 1
                ? "0"
                : name.substring(star + 1, encoded ? name.length() - 1 : name.length());
        boolean numbered = !number.isEmpty()
                && number.length() <= PIECE_DIGITS
                && number.chars().allMatch(c -> c >= '0' && c <= '9');
        if (numbered) {
            inPieces.computeIfAbsent(name.substring(0, star), n -> new TreeMap<>())
                    .putIfAbsent(Integer.parseInt(number), new Piece(value, encoded));
        }
    }

    /** Whether there were more than are read. */
    boolean isCut() {
        return cut;
    }

    Optional<String> value(String name) {
        return Optional.ofNullable(inPieces.get(name))
                .filter(pieces -> pieces.containsKey(0))
                .map(Parameters::joined)
                .or(() -> Optional.ofNullable(plain.get(name)));
    }

    /** The pieces from 0 on, up to the first that is missing. */
    private static String joined(TreeMap<Integer, Piece> pieces) {
        Piece first = pieces.get(0);
        String charset = "";
        String begins = first.value();
        int language = first.encoded() ? begins.indexOf('\'') : -1;
        int text = language < 0 ? -1 : begins.indexOf('\'', language + 1);
        if (text >= 0) {
            charset = begins.substring(0, language);
            begins = begins.substring(text + 1);
        }
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        int expected = 0;
        for (Map.Entry<Integer, Piece> piece : pieces.entrySet()) {
            if (piece.getKey() != expected) {
                break;
            }
            add(
                    bytes,
                    expected == 0 ? begins : piece.getValue().value(),
                    piece.getValue().encoded());
            expected++;
        }
        return Charsets.decode(bytes.toByteArray(), Optional.of(charset).filter(c -> !c.isEmpty()))
                .text();
    }

    private static void add(ByteArrayOutputStream bytes, String value, boolean encoded) {
        for (int at = 0; at < value.length(); at++) {
            int high = encoded && at + 2 < value.length() && value.charAt(at) == '%' ? digit(value, at + 1) : -1;
            int low = high < 0 ? -1 : digit(value, at + 2);
            if (low >= 0) {
                bytes.write(high * 16 + low);
                at += 2;
            } else {
                int character = value.codePointAt(at);
                bytes.writeBytes(Character.toString(character).getBytes(StandardCharsets.UTF_8));
                at += Character.charCount(character) - 1;
            }
        }
    }

    private static int digit(String value, int at) {
        return Character.digit(value.charAt(at), 16);
    }
}
