package app.jubek.core.message;

import app.jubek.core.wording.Statement;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** Bytes to text, whatever they claim to be: bad bytes are replaced, an unknown charset is guessed and noted. */
public final class Charsets {
    private static final Charset WESTERN = Charset.forName("windows-1252");

    private static final Map<String, Charset> BY_NAME = byName();

    private Charsets() {}

    public record Decoded(String text, Optional<Statement> note) {}

    public static Decoded decode(byte[] bytes, Optional<String> claimed) {
        Optional<Charset> known = claimed.flatMap(Charsets::named);
        Optional<Statement> note = claimed.isPresent() && known.isEmpty()
                ? Optional.of(ReadingNote.CHARSET_UNKNOWN.with(shorten(claimed.get())))
                : Optional.empty();
        Charset first = known.orElse(StandardCharsets.UTF_8);
        boolean guess = first.equals(StandardCharsets.UTF_8) || first.equals(StandardCharsets.US_ASCII);
        if (guess) {
            return new Decoded(utf8OrWestern(bytes), note);
        }
        return new Decoded(new String(bytes, first), note);
    }

    private static String utf8OrWestern(byte[] bytes) {
        try {
            return StandardCharsets.UTF_8
                    .newDecoder()
                    .onMalformedInput(CodingErrorAction.REPORT)
                    .decode(ByteBuffer.wrap(bytes))
                    .toString();
        } catch (CharacterCodingException notUtf8) {
            return new String(bytes, WESTERN);
        }
    }

    static Optional<Charset> named(String name) {
        return Optional.ofNullable(BY_NAME.get(name.strip().toLowerCase(Locale.ROOT)));
    }

    /** Asking for a charset by a name that none has takes long, and a message may name thousands. */
    private static Map<String, Charset> byName() {
        Map<String, Charset> all = new HashMap<>();
        for (Charset charset : Charset.availableCharsets().values()) {
            all.put(charset.name().toLowerCase(Locale.ROOT), charset);
            charset.aliases().forEach(alias -> all.put(alias.toLowerCase(Locale.ROOT), charset));
        }
        return Map.copyOf(all);
    }

    private static String shorten(String name) {
        return name.length() > 40 ? name.substring(0, 40) + "…" : name;
    }
}
