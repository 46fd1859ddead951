package app.jubek.core.view;

import app.jubek.core.message.DateFields;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.text.Pieces;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.ZonedDateTime;
import java.time.format.DateTimeFormatter;
import java.time.temporal.JulianFields;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * Pieces of a date (RFC 5260 §4.2). Asked for as "field/piece/zone": the field "received", "date" or "now", a piece such
 * as "hour", and an offset such as "+0200", "original" for the one that the field has, or nothing for the mailbox's own
 * zone.
 */
public final class DatePieces {
    private static final List<String> FIELDS = List.of("received", "date", "now");

    /** The zone that the field itself goes by (RFC 5260 §4.1). */
    public static final String ORIGINAL = "original";

    private DatePieces() {}

    /**
     * @throws IllegalArgumentException when it is not of that form
     */
    public static String checked(String asked) {
        String[] split = split(asked);
        if (!FIELDS.contains(split[0])) {
            throw new IllegalArgumentException("a date is received, date or now, not \"" + split[0] + "\"");
        }
        piece(split[1], Instant.EPOCH.atZone(ZoneOffset.UTC));
        if (split[2].equals(ORIGINAL)) {
            if (split[0].equals("now")) {
                throw new IllegalArgumentException("the present has no original zone");
            }
        } else if (!split[2].isEmpty()) {
            zone(split[2]);
        }
        return asked;
    }

    private static String[] split(String asked) {
        String[] split = Pieces.between(asked, '/').toArray(String[]::new);
        if (split.length != 3) {
            throw new IllegalArgumentException("a date is asked for as field/piece/zone, not \"" + asked + "\"");
        }
        return split;
    }

    static Optional<String> of(String asked, ReadMessage message, MessageContext context) {
        String[] split = split(asked);
        Optional<Instant> at = switch (split[0]) {
            case "now" -> Optional.of(context.now());
            case "received" -> Optional.of(context.received());
            case "date" -> message.date();
            default -> Optional.empty();
        };
        return at.map(instant -> piece(split[1], instant.atZone(zone(split, message, context))));
    }

    private static ZoneId zone(String[] split, ReadMessage message, MessageContext context) {
        if (split[2].equals(ORIGINAL)) {
            String field = split[0].equals("date") ? "Date" : "Received";
            return DateFields.zone(message.fields(), field)
                    .map(ZoneId.class::cast)
                    .orElse(context.zone());
        }
        return split[2].isEmpty() ? context.zone() : zone(split[2]);
    }

    private static ZoneId zone(String offset) {
        try {
            return ZoneOffset.of(offset);
        } catch (DateTimeException notOne) {
            throw new IllegalArgumentException("\"" + offset + "\" is no offset like +0200", notOne);
        }
    }

    private static String piece(String name, ZonedDateTime at) {
        return switch (name) {
            case "year" -> as("uuuu", at);
            case "month" -> as("MM", at);
            case "day" -> as("dd", at);
            case "date" -> as("uuuu-MM-dd", at);
            case "julian" -> Long.toString(at.getLong(JulianFields.MODIFIED_JULIAN_DAY));
            case "hour" -> as("HH", at);
            case "minute" -> as("mm", at);
            case "second" -> as("ss", at);
            case "time" -> as("HH:mm:ss", at);
            case "iso8601" -> as("uuuu-MM-dd'T'HH:mm:ssxxx", at);
            case "std11" -> as("EEE, d MMM uuuu HH:mm:ss xx", at);
            case "zone" -> as("xx", at);
            case "weekday" -> Integer.toString(at.getDayOfWeek().getValue() % 7);
            default -> throw new IllegalArgumentException("\"" + name + "\" is no piece of a date");
        };
    }

    private static String as(String pattern, ZonedDateTime at) {
        return DateTimeFormatter.ofPattern(pattern, Locale.ENGLISH).format(at);
    }
}
