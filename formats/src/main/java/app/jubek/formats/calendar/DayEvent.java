package app.jubek.formats.calendar;

import app.jubek.core.schedule.Recurrence;
import biweekly.ICalVersion;
import biweekly.component.VEvent;
import biweekly.io.TimezoneInfo;
import biweekly.io.WriteContext;
import biweekly.io.scribe.property.RecurrenceRuleScribe;
import biweekly.property.RecurrenceRule;
import biweekly.util.DateTimeComponents;
import biweekly.util.ICalDate;
import com.google.re2j.Pattern;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.HashSet;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * An event that takes whole days.
 *
 * @param length in days, at least 1
 * @param instead the day that it takes the place of, for one that was moved (RECURRENCE-ID)
 */
record DayEvent(
        String uid,
        String name,
        LocalDate first,
        int length,
        Optional<Recurrence> recurrence,
        Set<LocalDate> added,
        Set<LocalDate> excepted,
        Optional<LocalDate> instead,
        boolean isCancelled) {
    static final Comparator<ClosedDaysFile.ClosedDay> BY_DAY =
            Comparator.comparing(ClosedDaysFile.ClosedDay::day).thenComparing(ClosedDaysFile.ClosedDay::name);

    private static final int LONGEST = 366;
    private static final int LONGEST_NAME = 200;

    /** Calendars end whole days at midnight, though the standard wants a day there. */
    private static final Pattern TIME_OF_UNTIL = Pattern.compile("(UNTIL=\\d{8})T\\d{6}Z?");

    /** Empty for one with a time of day. */
    static Optional<DayEvent> of(VEvent event, String line) {
        if (event.getDateStart() == null || event.getDateStart().getValue() == null) {
            throw ClosedDaysFile.refused(line, "the event has no DTSTART");
        }
        if (event.getDateStart().getValue().hasTime()) {
            return Optional.empty();
        }
        try {
            return Optional.of(wholeDays(event, line));
        } catch (DateTimeException noDay) {
            throw ClosedDaysFile.refused(line, "the event has a day that does not exist: " + noDay.getMessage());
        }
    }

    private static DayEvent wholeDays(VEvent event, String line) {
        LocalDate first = day(event.getDateStart().getValue());
        String name =
                event.getSummary() == null ? "" : event.getSummary().getValue().strip();
        return new DayEvent(
                event.getUid() == null ? "" : event.getUid().getValue(),
                name.substring(0, Math.min(name.length(), LONGEST_NAME)),
                first,
                length(event, first, line),
                recurrence(event, first, line),
                event.getRecurrenceDates().stream()
                        .flatMap(dates -> dates.getDates().stream())
                        .map(DayEvent::day)
                        .collect(Collectors.toSet()),
                event.getExceptionDates().stream()
                        .flatMap(dates -> dates.getValues().stream())
                        .map(DayEvent::day)
                        .collect(Collectors.toSet()),
                Optional.ofNullable(event.getRecurrenceId()).map(id -> day(id.getValue())),
                event.getStatus() != null && event.getStatus().isCancelled());
    }

    private static LocalDate day(ICalDate date) {
        DateTimeComponents raw = date.getRawComponents();
        return LocalDate.of(raw.getYear(), raw.getMonth(), raw.getDate());
    }

    /** DTEND is the first day that is no longer in it (RFC 5545 §3.6.1). */
    private static int length(VEvent event, LocalDate first, String line) {
        long days = 1;
        if (event.getDateEnd() != null && event.getDateEnd().getValue() != null) {
            days = Math.max(
                    1, ChronoUnit.DAYS.between(first, day(event.getDateEnd().getValue())));
        } else if (event.getDuration() != null && event.getDuration().getValue() != null) {
            days = Math.max(
                    1,
                    event.getDuration().getValue().toMillis()
                            / ChronoUnit.DAYS.getDuration().toMillis());
        }
        if (days > LONGEST) {
            throw ClosedDaysFile.refused(line, "the event takes " + days + " days, more than a year");
        }
        return (int) days;
    }

    private static Optional<Recurrence> recurrence(VEvent event, LocalDate first, String line) {
        RecurrenceRule rule = event.getRecurrenceRule();
        if (rule == null || rule.getValue() == null) {
            return Optional.empty();
        }
        String written = new RecurrenceRuleScribe()
                .writeText(rule, new WriteContext(ICalVersion.V2_0, new TimezoneInfo(), null));
        try {
            return Optional.of(new Recurrence(TIME_OF_UNTIL.matcher(written).replaceAll("$1"), first));
        } catch (IllegalArgumentException refused) {
            throw ClosedDaysFile.refused(line, "RRULE can’t be used: " + refused.getMessage());
        }
    }

    /**
     * Its days within a time.
     *
     * @param moved days on which another event of the same name stands instead
     */
    Set<LocalDate> days(Set<LocalDate> moved, LocalDate from, LocalDate until) {
        if (isCancelled) {
            return Set.of();
        }
        Set<LocalDate> replaced = instead.isPresent() ? Set.of() : moved;
        Set<LocalDate> begins = new HashSet<>(added);
        begins.add(first);
        recurrence.ifPresent(days ->
                from.minusDays(length).datesUntil(until).filter(days::contains).forEach(begins::add));
        Set<LocalDate> closed = new TreeSet<>();
        begins.stream()
                .filter(day -> !excepted.contains(day) && !replaced.contains(day))
                .flatMap(day -> Stream.iterate(day, next -> next.plusDays(1)).limit(length))
                .filter(day -> !day.isBefore(from) && day.isBefore(until))
                .forEach(closed::add);
        return closed;
    }
}
