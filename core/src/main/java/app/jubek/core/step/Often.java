package app.jubek.core.step;

import java.time.Duration;

/**
 * How often one writer gets the same answer.
 *
 * @param times at most so many
 * @param within such a stretch of time; whole days, at least one
 */
public record Often(int times, Duration within) {
    /** RFC 5230 §4.1 suggests seven days. */
    public static final Often PRESET = once(Duration.ofDays(7));

    private static final int MOST = 3;

    public Often {
        if (within.compareTo(Duration.ofDays(1)) < 0) {
            throw new IllegalArgumentException("an answer goes to one writer at most once in one day or longer");
        }
        if (times < 1 || times > MOST) {
            throw new IllegalArgumentException("an answer goes to one writer one to " + MOST + " times a day");
        }
    }

    public static Often once(Duration within) {
        return new Often(1, within);
    }

    /** Each request is answered, up to a number a day: for documents. */
    public static Often aDay(int times) {
        return new Often(times, Duration.ofDays(1));
    }

    public int days() {
        return (int) within.toDays();
    }

    public String inWords() {
        String days = days() == 1 ? "a day" : days() + " days";
        return times == 1
                ? "once per writer in " + (days() == 1 ? "one day" : days)
                : "to each request, at most " + times + " times " + days + " per writer";
    }
}
