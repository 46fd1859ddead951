package app.jubek.core.schedule;

import app.jubek.core.wording.Code;
import java.time.DayOfWeek;
import java.time.Month;
import java.util.Optional;

/** Days of the week, months, and which one of several. */
enum CalendarName implements Code {
    MONDAY,
    TUESDAY,
    WEDNESDAY,
    THURSDAY,
    FRIDAY,
    SATURDAY,
    SUNDAY,
    JANUARY,
    FEBRUARY,
    MARCH,
    APRIL,
    MAY,
    JUNE,
    JULY,
    AUGUST,
    SEPTEMBER,
    OCTOBER,
    NOVEMBER,
    DECEMBER,
    FIRST,
    SECOND,
    THIRD,
    FOURTH,
    FIFTH,
    LAST;

    @Override
    public String id() {
        return "NAME_" + name();
    }

    static CalendarName of(DayOfWeek day) {
        return valueOf(day.name());
    }

    static CalendarName of(Month month) {
        return valueOf(month.name());
    }

    /** First to fifth, and the last; empty for others counted from the end. */
    static Optional<CalendarName> nth(int position) {
        if (position == -1) {
            return Optional.of(LAST);
        }
        return position >= 1 && position <= 5
                ? Optional.of(values()[FIRST.ordinal() + position - 1])
                : Optional.empty();
    }
}
