package app.jubek.core.schedule;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.schedule.Schedule.Hours;
import app.jubek.core.schedule.Schedule.OnClosedDays;
import com.google.common.collect.ImmutableRangeSet;
import com.google.common.collect.Range;
import com.google.common.collect.RangeSet;
import com.google.common.collect.TreeRangeSet;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.zone.ZoneOffsetTransition;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import net.fortuna.ical4j.model.Recur;
import org.junit.jupiter.api.Test;

/** Against an expansion of its own: spans of time, added and taken away by Guava; days that recur by ical4j. */
class NextChangeTest {
    /** Adelaide and Lord Howe shift by half hours, Apia had no 30 December 2011 (tz data). */
    private static final List<ZoneId> ZONES = Stream.of(
                    "Europe/Stockholm", "Australia/Adelaide", "Australia/Lord_Howe", "Pacific/Apia", "Asia/Kathmandu")
            .map(ZoneId::of)
            .toList();

    private static final LocalDate BEGIN = LocalDate.of(2011, 1, 1);
    private static final LocalDate END = BEGIN.plusYears(3);

    /** Between two changes of the clock. */
    private static final Map<ZoneId, List<Range<Instant>>> PIECES =
            ZONES.stream().collect(Collectors.toMap(zone -> zone, NextChangeTest::pieces));

    private final Random random = new Random(5);

    private record Case(Opening opening, Schedule schedule) {}

    @Test
    void aThousandSchedulesChangeWhenTheirSpansOfTimeDo() {
        for (int i = 0; i < 1000; i++) {
            Case one = any();
            ZoneId zone = one.opening().zone();
            RangeSet<Instant> active = expanded(one);
            Range<Instant> seen = Range.closedOpen(
                    BEGIN.plusDays(7).atStartOfDay(zone).toInstant(),
                    END.minusDays(7).atStartOfDay(zone).toInstant());
            for (int j = 0; j < 5; j++) {
                Instant at = seen.lowerEndpoint().plusSeconds(60L * random.nextInt(2 * 365 * 24 * 60));
                boolean now = active.contains(at);
                Optional<Instant> end = Optional.ofNullable((now ? active : active.complement()).rangeContaining(at))
                        .filter(Range::hasUpperBound)
                        .map(Range::upperEndpoint)
                        .filter(seen::contains);
                assertThat(one.schedule().isActive(at, one.opening()))
                        .as(one + " at " + at)
                        .isEqualTo(now);
                assertThat(one.schedule().nextChange(at, one.opening()).filter(seen::contains))
                        .as(one + " after " + at)
                        .isEqualTo(end);
            }
        }
    }

    private Case any() {
        ZoneId zone = ZONES.get(random.nextInt(ZONES.size()));
        Set<LocalDate> closed = IntStream.range(0, random.nextInt(60))
                .mapToObj(i -> BEGIN.plusDays(random.nextInt(3 * 365)))
                .collect(Collectors.toSet());
        List<Period> periods = IntStream.range(0, random.nextInt(3))
                .mapToObj(i -> BEGIN.plusDays(random.nextInt(900)))
                .map(day -> new Period(
                        Optional.of(day).filter(d -> random.nextInt(5) > 0),
                        Optional.of(day.plusDays(random.nextInt(200))).filter(d -> random.nextInt(5) > 0)))
                .filter(period -> !period.equals(Period.OPEN))
                .toList();
        Optional<Recurrence> recurrence = Optional.of(List.of(
                        "FREQ=MONTHLY;BYDAY=1MO", "FREQ=DAILY;BYMONTH=5,12", "FREQ=WEEKLY;INTERVAL=2;BYDAY=TU,FR"))
                .filter(rules -> random.nextInt(3) == 0)
                .map(rules -> new Recurrence(rules.get(random.nextInt(3)), BEGIN));
        Hours hours = Hours.values()[random.nextInt(3)];
        OnClosedDays onClosed = OnClosedDays.values()[random.nextInt(4)];
        return new Case(
                new Opening(zone, spans(), closed, Map.of()),
                new Schedule(hours, Optional.empty(), onClosed, periods, recurrence));
    }

    private List<Opening.Span> spans() {
        return IntStream.range(0, 1 + random.nextInt(8))
                .mapToObj(i -> new Opening.Span(
                        DayOfWeek.of(1 + random.nextInt(7)),
                        LocalTime.of(random.nextInt(24), 15 * random.nextInt(4)),
                        LocalTime.of(random.nextInt(24), 15 * random.nextInt(4))))
                .toList();
    }

    private static RangeSet<Instant> expanded(Case one) {
        Opening opening = one.opening();
        Schedule schedule = one.schedule();
        OnClosedDays onClosed = schedule.onClosedDays();
        List<LocalDate> all = BEGIN.datesUntil(END).toList();
        RangeSet<Instant> open = TreeRangeSet.create();
        boolean closing = schedule.hours() == Hours.INSIDE
                ? onClosed == OnClosedDays.AS_HOURS_ARE || onClosed == OnClosedDays.NOT
                : onClosed != OnClosedDays.ALSO;
        boolean closedOnly = schedule.hours() == Hours.INSIDE && onClosed == OnClosedDays.ONLY;
        for (LocalDate day : all) {
            boolean closed = opening.closed().contains(day);
            if (!(closed && closing) && !(closedOnly && !closed)) {
                opening.spans().stream()
                        .filter(span -> span.day() == day.getDayOfWeek())
                        .forEach(span -> open.addAll(onTheWall(
                                opening.zone(),
                                day.atTime(span.from()),
                                day.plusDays(span.to().isAfter(span.from()) ? 0 : 1)
                                        .atTime(span.to()))));
            }
        }
        RangeSet<Instant> active = TreeRangeSet.create(
                switch (schedule.hours()) {
                    case ALWAYS -> ImmutableRangeSet.of(Range.<Instant>all());
                    case INSIDE -> open;
                    case OUTSIDE -> open.complement();
                });
        Set<LocalDate> recurring = schedule.recurrence()
                .map(days -> Set.copyOf(new Recur<LocalDate>(days.rule()).getDates(days.first(), BEGIN, END)))
                .orElse(Set.copyOf(all));
        for (LocalDate day : all) {
            boolean in = schedule.periods().isEmpty()
                    || schedule.periods().stream()
                            .anyMatch(p -> p.first().stream().noneMatch(day::isBefore)
                                    && p.last().stream().noneMatch(day::isAfter));
            boolean closed = opening.closed().contains(day);
            boolean fits = schedule.hours() == Hours.INSIDE
                    || !(closed && onClosed == OnClosedDays.NOT) && !(!closed && onClosed == OnClosedDays.ONLY);
            if (!in || !recurring.contains(day) || !fits) {
                active.removeAll(onTheWall(
                        opening.zone(), day.atStartOfDay(), day.plusDays(1).atStartOfDay()));
            }
        }
        return active;
    }

    /** All instants at which the clock on the wall shows a time in a span: piece by piece between changes of the clock. */
    private static RangeSet<Instant> onTheWall(ZoneId zone, LocalDateTime from, LocalDateTime to) {
        RangeSet<Instant> found = TreeRangeSet.create();
        for (Range<Instant> piece : PIECES.get(zone)) {
            ZoneOffset offset = zone.getRules().getOffset(piece.lowerEndpoint());
            Range<Instant> span = Range.closedOpen(from.toInstant(offset), to.toInstant(offset));
            if (piece.isConnected(span)) {
                found.add(piece.intersection(span));
            }
        }
        return found;
    }

    private static List<Range<Instant>> pieces(ZoneId zone) {
        List<Range<Instant>> pieces = new ArrayList<>();
        Instant end = END.plusDays(3).atStartOfDay(zone).toInstant();
        Instant at = BEGIN.minusDays(3).atStartOfDay(zone).toInstant();
        while (at.isBefore(end)) {
            ZoneOffsetTransition shift = zone.getRules().nextTransition(at);
            Instant next = shift == null || shift.getInstant().isAfter(end) ? end : shift.getInstant();
            pieces.add(Range.closedOpen(at, next));
            at = next;
        }
        return pieces;
    }
}
