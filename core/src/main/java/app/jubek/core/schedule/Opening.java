package app.jubek.core.schedule;

import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Stream;

/**
 * The hours of a place, as its clocks on the wall show them: a minute that a change of the clocks leaves out does
 * not exist, and one that it repeats counts twice.
 *
 * @param closed days on which no span begins
 * @param others further hours that the place keeps, by their names; their closed days are those of the place
 */
public record Opening(ZoneId zone, List<Span> spans, Set<LocalDate> closed, Map<String, Opening> others) {
    /** Days in which thirty working days lie even if a place opens once a week and closes for weeks. */
    private static final int LOOKED_AHEAD = 366;

    /**
     * A span of every week; it belongs to the day on which it begins.
     *
     * @param to the first minute no longer in it; at or before {@code from} means that it ends on the day after
     */
    public record Span(DayOfWeek day, LocalTime from, LocalTime to) {
        boolean isOvernight() {
            return !to.isAfter(from);
        }
    }

    public Opening {
        spans = List.copyOf(spans);
        closed = Set.copyOf(closed);
        others = Map.copyOf(others);
    }

    public Opening(ZoneId zone, List<Span> spans, Set<LocalDate> closed) {
        this(zone, spans, closed, Map.of());
    }

    /** The same place with days on which it is closed, and with further hours. */
    public Opening with(Set<LocalDate> closedDays, Map<String, Opening> furtherHours) {
        return new Opening(zone, spans, closedDays, furtherHours);
    }

    /** Further hours by their name. */
    public Optional<Opening> named(String name) {
        return Optional.ofNullable(others.get(name))
                .map(found -> new Opening(found.zone(), found.spans(), closed, Map.of()));
    }

    /**
     * @param spans as in "monday 9:00-17:00"
     * @throws IllegalArgumentException naming the one that is no span
     */
    public static Opening of(ZoneId zone, List<String> spans) {
        return new Opening(zone, spans.stream().map(WrittenSpan::read).toList(), Set.of());
    }

    /** Monday to Friday, 9 to 17 o'clock: what counts until somebody says otherwise. */
    public static Opening usual(ZoneId zone) {
        LocalTime nine = LocalTime.of(9, 0);
        List<Span> spans = Stream.of(DayOfWeek.values())
                .limit(5)
                .map(day -> new Span(day, nine, nine.plusHours(8)))
                .toList();
        return new Opening(zone, spans, Set.of());
    }

    /** The first day after one on which hours begin; empty when there is none within a year. */
    public Optional<LocalDate> opensAfter(LocalDate day) {
        return day.plusDays(1)
                .datesUntil(day.plusDays(LOOKED_AHEAD))
                .filter(each -> begunOn(each).findAny().isPresent())
                .findFirst();
    }

    /** The spans as {@link #of} reads them. */
    public List<String> written() {
        return spans.stream()
                .map(span -> span.day() + " " + span.from() + "-" + span.to())
                .toList();
    }

    /**
     * When the last of some working days ends, counted from the day after an instant; a place that never opens has the usual
     * working days.
     *
     * @param days at least 1
     */
    public Instant endOfWorkingDay(Instant after, int days) {
        Opening counted = opensWithin(after) ? this : usual(zone);
        return LocalDate.ofInstant(after, zone)
                .datesUntil(LocalDate.ofInstant(after, zone).plusDays(LOOKED_AHEAD))
                .skip(1)
                .flatMap(day -> counted.lastEnd(day).stream())
                .skip(days - 1L)
                .findFirst()
                .orElseGet(() -> LocalDateTime.ofInstant(after, zone).plusDays(days))
                .atZone(zone)
                .toInstant();
    }

    private boolean opensWithin(Instant after) {
        LocalDate day = LocalDate.ofInstant(after, zone);
        return day.datesUntil(day.plusDays(LOOKED_AHEAD))
                .anyMatch(each -> begunOn(each).findAny().isPresent());
    }

    private Optional<LocalDateTime> lastEnd(LocalDate day) {
        return begunOn(day).map(span -> end(span, day)).max(Comparator.naturalOrder());
    }

    /**
     * @param begins the days on which spans begin
     */
    boolean isOpen(LocalDateTime wall, Predicate<LocalDate> begins) {
        LocalDate today = wall.toLocalDate();
        LocalDate yesterday = today.minusDays(1);
        return begins.test(today)
                        && ofWeekday(today)
                                .anyMatch(s -> !wall.toLocalTime().isBefore(s.from()) && isBeforeEnd(s, wall))
                || begins.test(yesterday)
                        && ofWeekday(yesterday)
                                .anyMatch(s ->
                                        s.isOvernight() && wall.toLocalTime().isBefore(s.to()));
    }

    private static boolean isBeforeEnd(Span span, LocalDateTime wall) {
        return span.isOvernight() || wall.toLocalTime().isBefore(span.to());
    }

    /** The times on the wall at which something may begin or end on a day, were it open. */
    Stream<LocalDateTime> edges(LocalDate day) {
        return Stream.concat(
                ofWeekday(day).flatMap(s -> Stream.of(day.atTime(s.from()), end(s, day))),
                ofWeekday(day.minusDays(1)).map(s -> end(s, day.minusDays(1))));
    }

    private static LocalDateTime end(Span span, LocalDate begun) {
        return (span.isOvernight() ? begun.plusDays(1) : begun).atTime(span.to());
    }

    private Stream<Span> begunOn(LocalDate day) {
        return closed.contains(day) ? Stream.empty() : ofWeekday(day);
    }

    private Stream<Span> ofWeekday(LocalDate day) {
        return spans.stream().filter(s -> s.day() == day.getDayOfWeek());
    }
}
