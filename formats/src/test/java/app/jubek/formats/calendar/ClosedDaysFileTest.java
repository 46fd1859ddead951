package app.jubek.formats.calendar;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.jubek.formats.rulebook.FormatException;
import java.io.StringReader;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.TreeSet;
import java.util.stream.Stream;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.Component;
import net.fortuna.ical4j.model.Period;
import net.fortuna.ical4j.model.component.VEvent;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ClosedDaysFileTest {
    private static final LocalDate FROM = LocalDate.of(2026, 1, 1);
    private static final LocalDate UNTIL = LocalDate.of(2029, 1, 1);

    private static String calendar(String... events) {
        String all = Stream.of(events)
                .map(event -> "BEGIN:VEVENT\r\nDTSTAMP:20260101T000000Z\r\n" + event.replace(" / ", "\r\n")
                        + "\r\nEND:VEVENT\r\n")
                .reduce("", String::concat);
        return "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//Ostrel Gardens//Closed days//EN\r\n" + all
                + "END:VCALENDAR\r\n";
    }

    private static List<String> days(String... events) {
        return ClosedDaysFile.read(calendar(events), FROM, UNTIL).days().stream()
                .map(one -> one.day() + " " + one.name())
                .toList();
    }

    @Test
    void wholeDaysAreClosedAloneSeveralInARowAndAgainWithTheirExceptions() {
        assertThat(days("UID:1 / SUMMARY:Founder's day / DTSTART;VALUE=DATE:20260514"))
                .containsExactly("2026-05-14 Founder's day");
        assertThat(days("UID:2 / SUMMARY:Stocktaking / DTSTART;VALUE=DATE:20270104 / DTEND;VALUE=DATE:20270107"))
                .containsExactly("2027-01-04 Stocktaking", "2027-01-05 Stocktaking", "2027-01-06 Stocktaking");
        assertThat(days(
                        "UID:3 / SUMMARY:Frost day / DTSTART;VALUE=DATE:20251205 / RRULE:FREQ=YEARLY;UNTIL=20281205T000000Z"
                                + " / EXDATE;VALUE=DATE:20271205"))
                .containsExactly("2026-12-05 Frost day", "2028-12-05 Frost day");
    }

    @Test
    void aMovedDayTakesThePlaceOfTheOtherAndACancelledOneIsOpen() {
        assertThat(days(
                        "UID:4 / SUMMARY:Pruning / DTSTART;VALUE=DATE:20260302 / RRULE:FREQ=MONTHLY;COUNT=3;BYDAY=1MO",
                        "UID:4 / SUMMARY:Pruning / DTSTART;VALUE=DATE:20260408 / RECURRENCE-ID;VALUE=DATE:20260406"))
                .containsExactly("2026-03-02 Pruning", "2026-04-08 Pruning", "2026-05-04 Pruning");
        assertThat(days("UID:5 / STATUS:CANCELLED / DTSTART;VALUE=DATE:20260302"))
                .isEmpty();
    }

    @Test
    void whatHasATimeOfDayIsLeftOutAndCounted() {
        String text = calendar("UID:6 / DTSTART:20260302T090000Z / DTEND:20260302T100000Z");
        assertThat(ClosedDaysFile.read(text, FROM, UNTIL)).isEqualTo(new ClosedDaysFile.ClosedDays(List.of(), 1));
    }

    /** The second library is ical4j; its periods end where the next day begins. */
    @Test
    void aSecondLibraryClosesTheSameDays() throws Exception {
        String text = calendar(
                "UID:7 / SUMMARY:a / DTSTART;VALUE=DATE:20200229 / DTEND;VALUE=DATE:20200301 / RRULE:FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=29",
                "UID:8 / SUMMARY:b / DTSTART;VALUE=DATE:20250106 / DTEND;VALUE=DATE:20250108 / RRULE:FREQ=WEEKLY;INTERVAL=5;WKST=MO",
                "UID:9 / SUMMARY:c / DTSTART;VALUE=DATE:20251128 / DTEND;VALUE=DATE:20251129"
                        + " / RRULE:FREQ=MONTHLY;BYDAY=-1FR / EXDATE;VALUE=DATE:20261127 / RDATE;VALUE=DATE:20261231");
        TreeSet<LocalDate> second = new TreeSet<>();
        Calendar calendar = new CalendarBuilder().build(new StringReader(text));
        Period<LocalDate> all = new Period<>(FROM, UNTIL);
        for (VEvent event : calendar.<VEvent>getComponents(Component.VEVENT)) {
            event.<LocalDate>calculateRecurrenceSet(all).forEach(period -> {
                LocalDate start = LocalDate.from(period.getStart());
                long days = ChronoUnit.DAYS.between(start, LocalDate.from(period.getEnd()));
                start.datesUntil(start.plusDays(Math.max(1, days))).forEach(second::add);
            });
        }
        assertThat(ClosedDaysFile.read(text, FROM, UNTIL).days().stream()
                        .map(ClosedDaysFile.ClosedDay::day)
                        .distinct())
                .isEqualTo(second.stream()
                        .filter(day -> !day.isBefore(FROM) && day.isBefore(UNTIL))
                        .toList())
                .hasSizeGreaterThan(60);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "UID:a / DTSTART;VALUE=DATE:20261399 | line 6: the event has a day that does not exist",
                "UID:b / DTSTART;VALUE=DATE:20260101 / RRULE:FREQ=SOMETIMES | line 8: RRULE can’t be read",
                "UID:c / DTSTART;VALUE=DATE:20260101 / RRULE:FREQ=HOURLY | line 6: RRULE can’t be used",
                "UID:d / SUMMARY:nothing | line 6: the event has no DTSTART",
                "UID:e / DTSTART;VALUE=DATE:20260101 / DTEND;VALUE=DATE:20300101 | line 6: the event takes 1461 days"
            })
    void whatCantBeReadIsRefusedWithItsLine(String event, String fault) {
        assertThatThrownBy(() -> days(event))
                .isInstanceOf(FormatException.class)
                .hasMessageContaining(fault);
    }

    @Test
    void whatIsNoCalendarOrBreaksOffIsRefused() {
        assertThatThrownBy(() -> ClosedDaysFile.read("Closed on Mondays", FROM, UNTIL))
                .hasMessageContaining("BEGIN:VCALENDAR");
        String whole = calendar("UID:1 / DTSTART;VALUE=DATE:20260514");
        String cut = whole.substring(0, whole.indexOf("END:VEVENT"));
        assertThatThrownBy(() -> ClosedDaysFile.read(cut, FROM, UNTIL)).hasMessageContaining("breaks off");
    }
}
