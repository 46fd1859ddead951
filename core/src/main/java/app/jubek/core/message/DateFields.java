package app.jubek.core.message;

import app.jubek.core.text.WhiteSpace;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.james.mime4j.codec.DecodeMonitor;
import org.apache.james.mime4j.dom.field.DateTimeField;
import org.apache.james.mime4j.field.DateTimeFieldLenientImpl;
import org.apache.james.mime4j.stream.RawField;

/** Dates as fields write them (RFC 5322 §3.3). */
final class DateFields {
    private static final Instant FIRST = Instant.parse("1970-01-01T00:00:00Z");
    private static final Instant LAST = Instant.parse("9999-12-31T00:00:00Z");

    /** Without comments no date is longer. */
    private static final int LONGEST = 100;

    private DateFields() {}

    static Optional<Instant> parse(String field) {
        String written = WhiteSpace.collapsed(Comments.removed(field));
        if (written.length() > LONGEST) {
            return Optional.empty();
        }
        try {
            DateTimeField parsed =
                    DateTimeFieldLenientImpl.PARSER.parse(new RawField("Date", written), DecodeMonitor.SILENT);
            return Optional.ofNullable(parsed.getDate())
                    .map(java.util.Date::toInstant)
                    .filter(at -> at.isAfter(FIRST) && at.isBefore(LAST));
        } catch (RuntimeException unreadable) {
            return Optional.empty();
        }
    }

    /** When the last hop took it in: the date of the topmost Received field (RFC 5321 §4.4). */
    static Optional<Instant> received(List<Field> fields) {
        return fields.stream()
                .filter(field -> field.is("Received"))
                .findFirst()
                .map(Field::value)
                .filter(value -> value.contains(";"))
                .flatMap(value ->
                        parse(value.substring(value.lastIndexOf(';') + 1).strip()));
    }
}
