package app.jubek.core.message;

import java.nio.charset.StandardCharsets;
import java.util.Optional;
import org.apache.james.mime4j.stream.Field;
import org.apache.james.mime4j.util.ByteSequence;

/** The body of a field from its octets: RFC 6532 lets them be UTF-8, older writers put anything there. */
final class RawFields {
    private RawFields() {}

    static String unfoldedBody(Field field) {
        ByteSequence raw = field.getRaw();
        if (raw == null) {
            return field.getBody() == null ? "" : unfold(field.getBody());
        }
        String whole = Charsets.decode(raw.toByteArray(), Optional.of(StandardCharsets.UTF_8.name()))
                .text();
        return unfold(whole.substring(whole.indexOf(':') + 1));
    }

    private static String unfold(String body) {
        return body.replaceAll("\\r?\\n(?=[ \\t])", "")
                .replaceAll("[\\r\\n]+", " ")
                .strip();
    }
}
