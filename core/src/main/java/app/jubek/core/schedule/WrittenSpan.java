package app.jubek.core.schedule;

import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import java.time.DateTimeException;
import java.time.DayOfWeek;
import java.time.LocalTime;
import java.util.Locale;

/** A span of opening hours as people write it: "monday 9:00-17:00". */
final class WrittenSpan {
    private static final Pattern WRITTEN =
            Pattern.compile("([a-z]+) +(\\d{1,2}:\\d{2}) *- *(\\d{1,2}:\\d{2})", Pattern.CASE_INSENSITIVE);

    private WrittenSpan() {}

    static Opening.Span read(String written) {
        Matcher parts = WRITTEN.matcher(written.strip());
        try {
            if (parts.matches()) {
                DayOfWeek day = DayOfWeek.valueOf(parts.group(1).toUpperCase(Locale.ROOT));
                return new Opening.Span(day, time(parts.group(2)), time(parts.group(3)));
            }
        } catch (IllegalArgumentException | DateTimeException notOne) {
            throw new IllegalArgumentException(asOne(written), notOne);
        }
        throw new IllegalArgumentException(asOne(written));
    }

    private static String asOne(String written) {
        return "\"" + written + "\" is no span of opening hours: write it like \"monday 9:00-17:00\"";
    }

    private static LocalTime time(String written) {
        return LocalTime.parse(written.length() < 5 ? "0" + written : written);
    }
}
