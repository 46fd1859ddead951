package app.jubek.core.step;

import app.jubek.core.wording.Statement;
import java.time.Duration;

/**
 * How often one sender gets the same answer.
 *
 * @param times at most so many
 * @param within such a stretch of time; whole days, at least one
 */
public record ReplyFrequency(int times, Duration within) {
    /** RFC 5230 §4.1 suggests seven days. */
    public static final ReplyFrequency PRESET = once(Duration.ofDays(7));

    /** For as long as its rule is there. */
    public static final ReplyFrequency ONCE = once(Duration.ofDays(3660));

    private static final int MOST = 3;

    public ReplyFrequency {
        if (within.compareTo(Duration.ofDays(1)) < 0) {
            throw new IllegalArgumentException("an answer goes to one sender at most once in one day or longer");
        }
        if (times < 1 || times > MOST) {
            throw new IllegalArgumentException("an answer goes to one sender one to " + MOST + " times a day");
        }
    }

    public static ReplyFrequency once(Duration within) {
        return new ReplyFrequency(1, within);
    }

    /** Each request is answered, up to a number a day: for documents. */
    public static ReplyFrequency aDay(int times) {
        return new ReplyFrequency(times, Duration.ofDays(1));
    }

    public int days() {
        return (int) within.toDays();
    }

    public Statement statement() {
        if (equals(ONCE)) {
            return StepPhrase.ONCE_ONLY.with();
        }
        return times == 1 ? StepPhrase.ONCE_IN_DAYS.with(days()) : StepPhrase.TIMES_IN_DAYS.with(times, days());
    }
}
