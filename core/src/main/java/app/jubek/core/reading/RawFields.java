package app.jubek.core.reading;

import app.jubek.core.message.Charsets;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import org.apache.james.mime4j.stream.Field;
import org.apache.james.mime4j.util.ByteSequence;

/** The body of a field from its bytes: RFC 6532 lets them be UTF-8, older senders put anything there. */
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

    /** Line ends before white space go, others become spaces. */
    private static String unfold(String body) {
        if (body.indexOf('\n') < 0 && body.indexOf('\r') < 0) {
            return body.strip();
        }
        StringBuilder unfolded = new StringBuilder(body.length());
        int at = 0;
        while (at < body.length()) {
            char unit = body.charAt(at);
            if (unit != '\r' && unit != '\n') {
                unfolded.append(unit);
                at++;
                continue;
            }
            int end = at;
            while (end < body.length() && (body.charAt(end) == '\r' || body.charAt(end) == '\n')) {
                end++;
            }
            boolean folds = end < body.length() && (body.charAt(end) == ' ' || body.charAt(end) == '\t');
            unfolded.append(folds ? "" : " ");
            at = end;
        }
        return unfolded.toString().strip();
    }
}
