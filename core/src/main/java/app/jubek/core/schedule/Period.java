package app.jubek.core.schedule;

import app.jubek.core.wording.Statement;
import java.time.LocalDate;
import java.time.YearMonth;
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

    public boolean contains(LocalDate day) {
        return first.map(f -> !day.isBefore(f)).orElse(true)
                && last.map(l -> !day.isAfter(l)).orElse(true);
    }

    /** Its days in words; empty when it has neither beginning nor end. */
    Optional<Statement> statement() {
        if (first.isPresent() && last.isPresent()) {
            return Optional.of(between(first.get(), last.get()));
        }
        return first.map(SchedulePhrase.FROM_DAY::with).or(() -> last.map(SchedulePhrase.UNTIL_DAY::with));
    }

    /** The same of a period that has both. */
    public Statement told() {
        return between(first.orElseThrow(), last.orElseThrow());
    }

    /** Whether a day is in both. */
    public boolean overlaps(Period other) {
        return beginsBeforeEndOf(other) && other.beginsBeforeEndOf(this);
    }

    private boolean beginsBeforeEndOf(Period other) {
        return first.isEmpty() || other.last.isEmpty() || !first.get().isAfter(other.last.get());
    }

    private static Statement between(LocalDate from, LocalDate to) {
        if (from.equals(to)) {
            return SchedulePhrase.ON_DAY.with(to);
        }
        return YearMonth.from(from).equals(YearMonth.from(to))
                ? SchedulePhrase.DAYS_OF_MONTH.with(from.getDayOfMonth(), to)
                : SchedulePhrase.DAYS.with(from, to);
    }
}
