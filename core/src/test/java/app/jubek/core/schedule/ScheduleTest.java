package app.jubek.core.schedule;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.jubek.core.schedule.Schedule.Hours;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ScheduleTest {
    private static final ZoneId STOCKHOLM = ZoneId.of("Europe/Stockholm");
    /** The glasshouse is watched on Saturday night until Sunday at 3:30. */
    private static final Opening HOURS = new Opening(
            STOCKHOLM,
            Opening.of(STOCKHOLM, List.of("monday 9:00-17:00", "tuesday 9:00-17:00", "saturday 22:00-03:30"))
                    .spans(),
            Set.of(LocalDate.parse("2026-12-07")));

    private static boolean isActive(Hours hours, String at) {
        return new Schedule(hours, Period.OPEN).isActive(Instant.parse(at), HOURS);
    }

    private static Optional<LocalDate> day(String written) {
        return Optional.of(LocalDate.parse(written));
    }

    @ParameterizedTest
    @CsvSource({
        "2026-12-01T07:59:59Z, false, Tuesday just before nine",
        "2026-12-01T08:00:00Z, true, nine o'clock is in it",
        "2026-12-01T16:00:00Z, false, seventeen is not",
        "2026-12-07T10:00:00Z, false, a Monday that is closed",
        "2026-12-05T23:30:00Z, true, half past midnight belongs to Saturday",
        "2026-12-06T02:29:59Z, true, to the last second",
        "2026-12-06T02:30:00Z, false, and then Sunday is closed",
        "2026-03-29T01:29:00Z, true, 3:29 on the morning without a second hour",
        "2026-10-25T00:30:00Z, true, the first half past two",
        "2026-10-25T01:30:00Z, true, and the second one"
    })
    void openIsWhatTheClockOnTheWallShows(String at, boolean open, String why) {
        assertThat(isActive(Hours.INSIDE, at)).as(why).isEqualTo(open);
        assertThat(isActive(Hours.OUTSIDE, at)).as(why).isNotEqualTo(open);
    }

    @Test
    void aPeriodHasItsFirstAndItsLastLocalDay() {
        Schedule advent = new Schedule(Hours.ALWAYS, new Period(day("2026-12-01"), day("2026-12-24")));
        assertThat(advent.isActive(Instant.parse("2026-11-30T22:59:59Z"), HOURS))
                .isFalse();
        assertThat(advent.isActive(Instant.parse("2026-11-30T23:00:00Z"), HOURS))
                .isTrue();
        assertThat(advent.isActive(Instant.parse("2026-12-24T22:59:59Z"), HOURS))
                .isTrue();
        assertThat(advent.nextChange(Instant.parse("2026-12-02T00:00:00Z"), HOURS))
                .contains(Instant.parse("2026-12-24T23:00:00Z"));
        assertThat(advent.nextChange(Instant.parse("2026-12-25T00:00:00Z"), HOURS))
                .isEmpty();
        assertThatThrownBy(() -> new Period(day("2026-12-02"), day("2026-12-01")))
                .hasMessageContaining("swap them");
    }

    @Test
    void theSpansOfATimeBeginAndEndWithIt() {
        Instant from = Instant.parse("2026-12-01T10:00:00Z");
        Instant until = Instant.parse("2026-12-06T00:00:00Z");
        assertThat(new Schedule(Hours.INSIDE, Period.OPEN).spans(from, until, HOURS, 10))
                .containsExactly(
                        new ActiveSpan(from, Instant.parse("2026-12-01T16:00:00Z")),
                        new ActiveSpan(Instant.parse("2026-12-05T21:00:00Z"), until));
    }

    /** Against the plainest way to find it: looking at every minute. */
    @Test
    void theNextChangeIsExactToTheMinuteAroundEveryChangeOfTheClocks() {
        Random random = new Random(7);
        for (String day : List.of("2026-03-28T00:00:00Z", "2026-10-24T00:00:00Z", "2026-12-04T00:00:00Z")) {
            for (Hours hours : List.of(Hours.INSIDE, Hours.OUTSIDE)) {
                Schedule schedule = new Schedule(hours, Period.OPEN);
                for (int i = 0; i < 40; i++) {
                    Instant from = Instant.parse(day).plusSeconds(60L * random.nextInt(3 * 24 * 60));
                    Instant minute = from.plusSeconds(60);
                    while (schedule.isActive(minute, HOURS) == schedule.isActive(from, HOURS)) {
                        minute = minute.plusSeconds(60);
                    }
                    assertThat(schedule.nextChange(from, HOURS))
                            .as("after " + from)
                            .contains(minute);
                }
            }
        }
    }

    /** The instants of the changes are those that zdump prints of the time zone database, release 2025b. */
    @ParameterizedTest
    @CsvSource({
        "America/New_York, 02:30-04:00, 2026-03-08T06:00:00Z, 2026-03-08T07:00:00Z, half past two is left out",
        "America/New_York, 01:30-04:00, 2026-11-01T05:45:00Z, 2026-11-01T06:00:00Z, back to one o'clock",
        "Europe/Stockholm, 02:30-05:00, 2026-03-29T00:00:00Z, 2026-03-29T01:00:00Z, half past two is left out",
        "Europe/Stockholm, 02:30-05:00, 2026-10-25T00:45:00Z, 2026-10-25T01:00:00Z, back to two o'clock",
        "Australia/Lord_Howe, 01:45-03:00, 2026-04-04T14:50:00Z, 2026-04-04T15:00:00Z, back by half an hour",
        "Australia/Lord_Howe, 02:15-03:00, 2026-10-03T15:00:00Z, 2026-10-03T15:30:00Z, forward by half an hour"
    })
    void hoursTurnWhereTheClocksOfAZoneAreChanged(String zone, String hours, String after, String turns, String why) {
        List<String> daily =
                Stream.of(DayOfWeek.values()).map(day -> day + " " + hours).toList();
        Opening opening = Opening.of(ZoneId.of(zone), daily);
        assertThat(new Schedule(Hours.INSIDE, Period.OPEN).nextChange(Instant.parse(after), opening))
                .as(why)
                .contains(Instant.parse(turns));
    }

    /** Of the same source: Samoa went from 29 to 31 December 2011. */
    @Test
    void aDayThatAZoneLeftOutEndsBeforeItBegins() {
        Opening samoa = Opening.usual(ZoneId.of("Pacific/Apia"));
        Schedule untilTheThirtieth = new Schedule(Hours.ALWAYS, new Period(Optional.empty(), day("2011-12-30")));
        assertThat(untilTheThirtieth.nextChange(Instant.parse("2011-12-30T00:00:00Z"), samoa))
                .contains(Instant.parse("2011-12-30T10:00:00Z"));
        Schedule onThatDay = new Schedule(Hours.ALWAYS, new Period(day("2011-12-30"), day("2011-12-30")));
        assertThat(onThatDay.nextChange(Instant.parse("2011-12-01T00:00:00Z"), samoa))
                .isEmpty();
    }

    @Test
    void whatBeginsOrEndsForAWeekAtLeastIsATurn() {
        LocalDate today = LocalDate.parse("2026-12-02");
        Schedule walks = Schedule.ALWAYS.during(List.of(
                new Period(day("2026-11-01"), day("2026-12-04")),
                new Period(day("2026-12-08"), day("2026-12-20")),
                new Period(day("2027-01-06"), day("2027-01-06"))));
        assertThat(walks.nextTurn(today, today.plusDays(60)))
                .as("three days of rest are none")
                .contains(new Turn(LocalDate.parse("2026-12-20"), Turn.What.ENDS));
        assertThat(walks.nextTurn(LocalDate.parse("2026-12-21"), today.plusDays(60)))
                .contains(new Turn(LocalDate.parse("2027-01-06"), Turn.What.ALONE));
        assertThat(walks.nextTurn(today, today.plusDays(14))).isEmpty();
        assertThat(Schedule.ALWAYS.nextTurn(today, today.plusDays(400))).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"monday 9-17", "funday 9:00-17:00", "monday 9:00-25:00", "''"})
    void whatIsNoSpanIsRefusedWithAnExample(String written) {
        assertThatThrownBy(() -> Opening.of(STOCKHOLM, List.of(written)))
                .hasMessageContaining(written)
                .hasMessageContaining("like \"monday 9:00-17:00\"");
    }

    @Test
    void whoNeverRestsNeverChanges() {
        Opening never = new Opening(STOCKHOLM, List.of(), Set.of());
        Instant now = Instant.parse("2026-01-01T00:00:00Z");
        assertThat(Schedule.ALWAYS.isActive(now, never)).isTrue();
        assertThat(Schedule.ALWAYS.nextChange(now, never)).isEmpty();
        assertThat(new Schedule(Hours.INSIDE, Period.OPEN).nextChange(now, never))
                .isEmpty();
    }
}
