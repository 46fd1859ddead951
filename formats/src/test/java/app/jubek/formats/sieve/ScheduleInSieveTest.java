package app.jubek.formats.sieve;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.criteria.Everything;
import app.jubek.core.criteria.Nothing;
import app.jubek.core.rule.Ending;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.rule.RuleId;
import app.jubek.core.schedule.Opening;
import app.jubek.core.schedule.Period;
import app.jubek.core.schedule.Recurrence;
import app.jubek.core.schedule.Schedule;
import app.jubek.core.schedule.Schedule.Hours;
import app.jubek.core.schedule.Schedule.OnClosedDays;
import app.jubek.core.step.Step;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Schedules as tests of the current date (RFC 5260); no second evaluator that we know of reads them. */
class ScheduleInSieveTest {
    private static final ZoneId ADELAIDE = ZoneId.of("Australia/Adelaide");
    private static final Opening USUAL = Opening.usual(ADELAIDE);
    private static final Opening GATE =
            Opening.of(ADELAIDE, List.of("saturday 22:00-02:30", "sunday 00:00-00:00", "wednesday 7:15-7:45"));
    private static final ServerClock SAME = new ServerClock(true, Optional.of(USUAL), Map.of("Gate", GATE));

    private final Random random = new Random(20_261_202);

    private static RuleBook filing(Schedule schedule) {
        List<Step> steps = List.of(new Step.File("Hit"));
        Rule rule = new Rule(new RuleId("r"), 1, "r", new Everything(), new Nothing(), steps, Ending.CONTINUE, true);
        return RuleBook.of(List.of(rule.active(schedule)));
    }

    private Schedule schedule() {
        Hours hours = Hours.values()[random.nextInt(3)];
        Optional<String> of = hours != Hours.ALWAYS && random.nextBoolean() ? Optional.of("Gate") : Optional.empty();
        return new Schedule(
                hours,
                of,
                OnClosedDays.AS_HOURS_ARE,
                Stream.generate(this::period).limit(random.nextInt(3)).toList(),
                Optional.empty());
    }

    private Period period() {
        LocalDate first = LocalDate.of(2026, 1, 1).plusDays(random.nextInt(365));
        return new Period(
                Optional.of(first).filter(day -> random.nextInt(4) > 0),
                Optional.of(first.plusDays(random.nextInt(120))).filter(day -> random.nextInt(4) > 0));
    }

    /** Half of the instants lie around the two changes of the clocks of the year, by half-hour offsets (tz data). */
    private Instant instant() {
        Instant change = Instant.parse(random.nextBoolean() ? "2026-04-04T16:30:00Z" : "2026-10-03T16:30:00Z");
        return random.nextBoolean()
                ? change.plusSeconds(random.nextInt(-90_000, 90_000))
                : Instant.parse("2026-01-01T00:00:00Z").plusSeconds(random.nextInt(365 * 86_400));
    }

    @Test
    void aWrittenScheduleIsReadBackToTheSameAtAThousandInstants() {
        int active = 0;
        for (int i = 0; i < 50; i++) {
            Schedule schedule = schedule();
            SieveWriting.Written written = SieveWriting.write(filing(schedule), SAME);
            assertThat(written.notCarried()).isEmpty();
            RuleBook read = SieveReading.read(written.script()).book();
            for (int j = 0; j < 20; j++) {
                Instant at = instant();
                boolean meant = schedule.isActive(at, USUAL.with(Set.of(), Map.of("Gate", GATE)));
                assertThat(Deciding.isFiled(read, at, ADELAIDE))
                        .as(at + "\n" + written.script())
                        .isEqualTo(meant);
                active += meant ? 1 : 0;
            }
        }
        assertThat(active).as("neither always nor never").isBetween(300, 700);
    }

    @Test
    void whatAScriptCantSayOfTimeIsListed() {
        Schedule weekends = Schedule.ALWAYS.during(List.of(new Period(Optional.of(LocalDate.EPOCH), Optional.empty())));
        assertThat(left(weekends, ServerClock.unknown())).contains("clock may show another time");
        Schedule closed = new Schedule(Hours.ALWAYS, Optional.empty(), OnClosedDays.ONLY, List.of(), Optional.empty());
        assertThat(left(closed, SAME)).contains("no closed days");
        Schedule desk =
                new Schedule(Hours.INSIDE, Optional.of("Desk"), OnClosedDays.AS_HOURS_ARE, List.of(), Optional.empty());
        assertThat(left(desk, SAME)).contains("\"Desk\" are not given");
        Schedule mondays = new Schedule(
                Hours.ALWAYS,
                Optional.empty(),
                OnClosedDays.AS_HOURS_ARE,
                List.of(),
                Optional.of(new Recurrence("FREQ=MONTHLY;BYDAY=1MO", LocalDate.of(2026, 1, 1))));
        assertThat(left(mondays, SAME)).contains("days that recur");
    }

    private static String left(Schedule schedule, ServerClock clock) {
        SieveWriting.Written written = SieveWriting.write(filing(schedule), clock);
        assertThat(written.script()).doesNotContain("fileinto \"Hit\"");
        return written.notCarried().get(0).toString();
    }
}
