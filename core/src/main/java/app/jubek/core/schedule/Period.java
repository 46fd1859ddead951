package app.jubek.core.schedule;

import app.jubek.core.wording.Statement;
import java.time.LocalDate;
import java.time.YearMonth;
import java.util.Comparator;
import java.util.Optional;
import java.util.stream.Stream;

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

    /** The days that are in both; empty when there are none, or when they have no beginning or no end. */
    public Optional<Period> sharedWith(Period other) {
        Optional<LocalDate> from = later(first, other.first);
        Optional<LocalDate> until = earlier(last, other.last);
        boolean whole = overlaps(other) && from.isPresent() && until.isPresent();
        return whole ? Optional.of(new Period(from, until)) : Optional.empty();
    }

    /** The days after this one and before the next; empty when there are none. */
    public Optional<Period> gapBefore(Period next) {
        if (last.isEmpty() || next.first.isEmpty() || !last.get().plusDays(1).isBefore(next.first.get())) {
            return Optional.empty();
        }
        return Optional.of(new Period(last.map(day -> day.plusDays(1)), next.first.map(day -> day.minusDays(1))));
    }

    private static Optional<LocalDate> later(Optional<LocalDate> one, Optional<LocalDate> other) {
        return Stream.of(one, other).flatMap(Optional::stream).max(Comparator.naturalOrder());
    }

    private static Optional<LocalDate> earlier(Optional<LocalDate> one, Optional<LocalDate> other) {
        return Stream.of(one, other).flatMap(Optional::stream).min(Comparator.naturalOrder());
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
