package app.jubek.server.desk;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.server.step.DoneCount;
import app.jubek.server.step.Work;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;

class DeskDayTest {
    private static final LocalDate MONDAY = LocalDate.of(2026, 3, 23);
    private static final Instant NOON = Instant.parse("2026-03-23T12:00:00Z");

    @Test
    void eachMessageCountsOnceByWhatWeighsMostOnTheDayItIsAtThePlace() {
        Map<Long, Instant> came =
                Map.of(1L, NOON, 2L, NOON, 3L, NOON, 4L, NOON, 5L, Instant.parse("2026-03-23T23:30:00Z"));
        Map<Long, Set<Work>> done = Map.of(
                1L, Set.of(Work.REPLY, Work.ARCHIVE, Work.MARK),
                2L, Set.of(Work.MARK),
                3L, Set.of(Work.FILE, Work.BRING_BACK),
                4L, Set.of(Work.DELETE));
        List<DeskDay> days = DeskDay.of(List.of(MONDAY, MONDAY.plusDays(1)), ZoneId.of("Europe/Helsinki"), came, done);
        assertThat(days.get(0))
                .isEqualTo(
                        new DeskDay(MONDAY, 4, List.of(new DoneCount(Work.REPLY, 1), new DoneCount(Work.TRASH, 1)), 2));
        assertThat(days.get(1)).isEqualTo(new DeskDay(MONDAY.plusDays(1), 1, List.of(), 1));
    }
}
