package app.jubek.core.message;

import app.jubek.core.text.WhiteSpace;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.apache.james.mime4j.codec.DecodeMonitor;
import org.apache.james.mime4j.dom.field.DateTimeField;
import org.apache.james.mime4j.field.DateTimeFieldLenientImpl;
import org.apache.james.mime4j.stream.RawField;

/** Dates as fields write them (RFC 5322 §3.3). */
public final class DateFields {
    private static final Instant FIRST = Instant.parse("1970-01-01T00:00:00Z");
    private static final Instant LAST = Instant.parse("9999-12-31T00:00:00Z");

    /** Without comments no date is longer. */
    private static final int LONGEST = 100;

    /** Names that mail wrote once (RFC 5322 §4.3). */
    private static final Map<String, Integer> HOURS = Map.of(
            "UT", 0, "GMT", 0, "EST", -5, "EDT", -4, "CST", -6, "CDT", -5, "MST", -7, "MDT", -6, "PST", -8, "PDT", -7);

    private DateFields() {}

    public static Optional<Instant> parse(String field) {
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

    /**
     * The zone that the writer of a field went by (RFC 5322 §3.3, §4.3); where it is not told, as by the letters that nobody
     * can interpret, universal time.
     *
     * @param name Date or Received
     */
    public static Optional<ZoneOffset> zone(List<HeaderField> fields, String name) {
        return fields.stream()
                .filter(field -> field.is(name))
                .findFirst()
                .map(field -> WhiteSpace.collapsed(Comments.removed(field.value())))
                .map(written -> written.substring(written.lastIndexOf(' ') + 1))
                .map(DateFields::offset);
    }

    private static ZoneOffset offset(String zone) {
        Integer hours = HOURS.get(zone.toUpperCase(Locale.ROOT));
        if (hours != null) {
            return ZoneOffset.ofHours(hours);
        }
        try {
            return ZoneOffset.of(zone);
        } catch (DateTimeException unknown) {
            return ZoneOffset.UTC;
        }
    }

    /** When the last hop took it in: the date of the topmost Received field (RFC 5321 §4.4). */
    static Optional<Instant> received(List<HeaderField> fields) {
        return fields.stream()
                .filter(field -> field.is("Received"))
                .findFirst()
                .map(HeaderField::value)
                .filter(value -> value.contains(";"))
                .flatMap(value ->
                        parse(value.substring(value.lastIndexOf(';') + 1).strip()));
    }
}
