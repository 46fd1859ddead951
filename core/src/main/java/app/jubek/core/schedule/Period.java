package app.jubek.core.schedule;

import app.jubek.core.wording.Statement;
import java.time.LocalDate;
import java.util.Optional;

/**
 * From the first to the last local day, both of them in it.
 *
 * @param first empty when it has no beginning
 * @param last empty when it has no end
 */
public record Period(Optional<LocalDate> first, Optional<LocalDate> last) {
    public static final Period OPEN = new Period(Optional.empty(), Optional.empty());

    public Period {
        if (first.isPresent() && last.isPresent() && last.get().isBefore(first.get())) {
            throw new IllegalArgumentException(
                    "the last day, " + last.get() + ", lies before the first, " + first.get() + ": swap them");
        }
    }

    boolean contains(LocalDate day) {
        return first.map(f -> !day.isBefore(f)).orElse(true)
                && last.map(l -> !day.isAfter(l)).orElse(true);
    }

    /** Follows a schedule's hours. */
    Statement statement(Schedule.Hours hours) {
        if (first.isPresent() && last.isPresent()) {
            return SchedulePhrase.FROM_UNTIL.with(
                    hours, first.get().toString(), last.get().toString());
        }
        return first.map(day -> SchedulePhrase.FROM.with(hours, day.toString()))
                .or(() -> last.map(day -> SchedulePhrase.UNTIL.with(hours, day.toString())))
                .orElseGet(hours::with);
    }
}
