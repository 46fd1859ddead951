package app.jubek.core.schedule;

import app.jubek.core.wording.Argument;
import app.jubek.core.wording.Statement;
import java.time.DayOfWeek;
import java.time.Month;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.dmfs.rfc5545.recur.Freq;
import org.dmfs.rfc5545.recur.RecurrenceRule;
import org.dmfs.rfc5545.recur.RecurrenceRule.Part;
import org.dmfs.rfc5545.recur.RecurrenceRule.WeekdayNum;

/** Tells the recurrences that people choose; any other is told as it is written. */
final class RecurrenceText {
    private static final Set<Part> UNTOLD =
            EnumSet.of(Part.COUNT, Part.UNTIL, Part.BYSETPOS, Part.BYWEEKNO, Part.BYYEARDAY);

    private final RecurrenceRule rule;

    private RecurrenceText(RecurrenceRule rule) {
        this.rule = rule;
    }

    static Statement of(RecurrenceRule rule, String written) {
        boolean other = UNTOLD.stream().anyMatch(rule::hasPart);
        return Optional.of(new RecurrenceText(rule))
                .filter(text -> !other)
                .flatMap(RecurrenceText::told)
                .orElseGet(() -> SchedulePhrase.DAYS_AS_WRITTEN.with(written));
    }

    private Optional<Statement> told() {
        if (rule.getInterval() > 1) {
            return has(Freq.WEEKLY, Part.BYDAY)
                    ? plainWeekdays().map(days -> SchedulePhrase.EVERY_FEW_WEEKS.with(rule.getInterval(), days))
                    : Optional.empty();
        }
        if (has(Freq.WEEKLY, Part.BYDAY)) {
            return plainWeekdays().map(SchedulePhrase.EVERY_WEEKDAY::with);
        }
        if (has(Freq.MONTHLY, Part.BYDAY) && rule.getByDayPart().size() == 1) {
            WeekdayNum one = rule.getByDayPart().get(0);
            return CalendarName.nth(one.pos).map(nth -> SchedulePhrase.WEEKDAY_OF_MONTH.with(nth, weekday(one)));
        }
        if (has(Freq.MONTHLY, Part.BYMONTHDAY) && monthDays().size() == 1) {
            return dayOfMonth(monthDays().get(0));
        }
        if (has(Freq.DAILY, Part.BYMONTH)) {
            return Optional.of(SchedulePhrase.IN_MONTHS.with(Argument.and(
                    months().stream().map(Month::of).map(CalendarName::of).toList())));
        }
        boolean onOneDay = rule.hasPart(Part.BYMONTHDAY)
                && rule.hasPart(Part.BYMONTH)
                && !rule.hasPart(Part.BYDAY)
                && rule.getFreq() == Freq.YEARLY
                && months().size() == 1
                && monthDays().size() == 1
                && monthDays().get(0) > 0;
        return onOneDay
                ? Optional.of(
                        SchedulePhrase.DAY_OF_YEAR.with(monthDays().get(0), CalendarName.of(Month.of(months().get(0)))))
                : Optional.empty();
    }

    private static Optional<Statement> dayOfMonth(int day) {
        if (day == -1) {
            return Optional.of(SchedulePhrase.LAST_OF_MONTH.with());
        }
        return day > 0 ? Optional.of(SchedulePhrase.DAY_OF_MONTH.with(day)) : Optional.empty();
    }

    /** Whether it comes so often and says nothing else than that. */
    private boolean has(Freq freq, Part alone) {
        return rule.getFreq() == freq
                && EnumSet.of(Part.BYDAY, Part.BYMONTH, Part.BYMONTHDAY).stream()
                        .allMatch(part -> rule.hasPart(part) == (part == alone));
    }

    private List<Integer> monthDays() {
        return rule.getByPart(Part.BYMONTHDAY);
    }

    /** From 1; the library counts them from 0. */
    private List<Integer> months() {
        return rule.getByPart(Part.BYMONTH).stream().map(month -> month + 1).toList();
    }

    private Optional<Argument> plainWeekdays() {
        List<WeekdayNum> days = rule.getByDayPart();
        return days.stream().allMatch(day -> day.pos == 0)
                ? Optional.of(
                        Argument.and(days.stream().map(RecurrenceText::weekday).toList()))
                : Optional.empty();
    }

    private static CalendarName weekday(WeekdayNum one) {
        return CalendarName.of(
                switch (one.weekday) {
                    case MO -> DayOfWeek.MONDAY;
                    case TU -> DayOfWeek.TUESDAY;
                    case WE -> DayOfWeek.WEDNESDAY;
                    case TH -> DayOfWeek.THURSDAY;
                    case FR -> DayOfWeek.FRIDAY;
                    case SA -> DayOfWeek.SATURDAY;
                    case SU -> DayOfWeek.SUNDAY;
                });
    }
}
