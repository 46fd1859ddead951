package app.jubek.core.step;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.jubek.core.schedule.Opening;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class ReleaseTest {
    private static final ZoneId STOCKHOLM = ZoneId.of("Europe/Stockholm");
    /** Closed over Christmas. */
    private static final Opening HOURS = new Opening(
            STOCKHOLM,
            Opening.usual(STOCKHOLM).spans(),
            Set.of(LocalDate.parse("2026-12-24"), LocalDate.parse("2026-12-25")));

    private static final Instant NOON = Instant.parse("2026-12-01T11:00:00Z");

    @ParameterizedTest
    @CsvSource({
        "2026-12-01T11:00:00Z, 2026-12-01T11:00:00Z, open: at once",
        "2026-12-01T16:00:00Z, 2026-12-02T08:00:00Z, after closing time: tomorrow",
        "2026-12-04T18:00:00Z, 2026-12-07T08:00:00Z, on Friday evening: on Monday",
        "2026-12-23T17:00:00Z, 2026-12-28T08:00:00Z, before closed days and a weekend",
        "2027-03-27T12:00:00Z, 2027-03-29T07:00:00Z, nine o'clock by the wall though the clocks went forward"
    })
    void theNextOpeningIsWhatTheClockOnTheWallSays(String planned, String due, String when) {
        assertThat(Release.Plain.AT_OPENING.due(Instant.parse(planned), HOURS, 0))
                .as(when)
                .contains(Instant.parse(due));
    }

    @Test
    void aMailboxThatNeverOpensLeavesItToAPerson() {
        Opening never = new Opening(STOCKHOLM, List.of(), Set.of());
        assertThat(Release.Plain.AT_OPENING.due(NOON, never, 0)).isEmpty();
    }

    @Test
    void hoursWithANameOpenTheirOwnWayOnTheClosedDaysOfTheMailbox() {
        Opening both =
                HOURS.with(HOURS.closed(), Map.of("Ticket desk", Opening.of(STOCKHOLM, List.of("friday 18:00-20:00"))));
        Release byDesk = new Release.AtOpeningOf("Ticket desk");
        assertThat(byDesk.due(NOON, both, 0)).contains(Instant.parse("2026-12-04T17:00:00Z"));
        assertThat(byDesk.due(Instant.parse("2026-12-19T11:00:00Z"), both, 0))
                .as("closed on Christmas Day, a Friday")
                .contains(Instant.parse("2027-01-01T17:00:00Z"));
        assertThat(byDesk.due(NOON, HOURS, 0)).as("unknown hours").isEmpty();
    }

    @Test
    void theFirstFiveWaitForAPersonAndTheSixthGoesByItself() {
        assertThat(Release.Plain.FIRST_ON_APPROVAL.due(NOON, HOURS, 4)).isEmpty();
        assertThat(Release.Plain.FIRST_ON_APPROVAL.due(NOON, HOURS, 5)).contains(NOON);
        assertThat(Release.Plain.ON_APPROVAL.due(NOON, HOURS, 5)).isEmpty();
    }

    @Test
    void aWhileIsCountedFromWhenItWasWritten() {
        assertThat(new Release.After(10).due(NOON, HOURS, 0)).contains(NOON.plusSeconds(600));
    }

    @ParameterizedTest
    @CsvSource({
        "2026-12-01T11:00:00Z, 1, 2026-12-02T16:00:00Z, the day after",
        "2026-12-04T18:00:00Z, 1, 2026-12-07T16:00:00Z, a weekend does not count",
        "2026-12-22T08:00:00Z, 3, 2026-12-29T16:00:00Z, nor do closed days",
        "2027-03-26T12:00:00Z, 1, 2027-03-29T15:00:00Z, at closing time by the wall though the clocks went forward"
    })
    void aMessageComesBackAtTheEndOfTheLastOfItsWorkingDays(String cameIn, int days, String due, String when) {
        assertThat(new FollowUp(days).due(Instant.parse(cameIn), HOURS))
                .as(when)
                .isEqualTo(due);
    }

    @Test
    void aMailboxThatNeverOpensHasTheUsualWorkingDays() {
        Opening never = new Opening(STOCKHOLM, List.of(), Set.of());
        assertThat(new FollowUp(4).due(NOON, never)).isEqualTo("2026-12-07T16:00:00Z");
    }

    @ParameterizedTest
    @ValueSource(ints = {-1, 0, 1201})
    void aWhileIsNeitherNothingNorADay(int minutes) {
        assertThatThrownBy(() -> new Release.After(minutes)).hasMessageContaining("1 to 1200 minutes");
    }
}
