package app.jubek.core.schedule;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.jubek.core.schedule.Schedule.Hours;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
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
