package app.jubek.core.schedule;

import app.jubek.core.wording.Argument;
import app.jubek.core.wording.Code;
import app.jubek.core.wording.Statement;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.zone.ZoneOffsetTransition;
import java.time.zone.ZoneRules;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Stream;

/**
 * When a rule is active; all that is named has to hold. Days and hours are those of the zone of its hours.
 *
 * @param of the name of the hours; empty for the opening hours of the mailbox
 * @param periods it is active in any of them; none for any time
 * @param recurrence the days on which it is active; empty for every day
 */
public record Schedule(
        Hours hours,
        Optional<String> of,
        OnClosedDays onClosedDays,
        List<Period> periods,
        Optional<Recurrence> recurrence) {
    public static final Schedule ALWAYS = new Schedule(Hours.ALWAYS, Period.OPEN);

    private static final int YEARS_AHEAD = 10;
    private static final int MOST_PERIODS = 100;
    private static final int MOST_LOOKS = 1_500;
    /** Days of rest that are worth a word. */
    private static final int REST = 7;

    /** How it stands to its hours; outside is all the rest. */
    public enum Hours implements Code {
        ALWAYS,
        INSIDE,
        OUTSIDE;

        @Override
        public String id() {
            return "HOURS_" + name();
        }
    }

    /** What a closed day makes of it. */
    public enum OnClosedDays implements Code {
        /** No hours begin on a closed day: inside them it rests, outside them it is active. */
        AS_HOURS_ARE,
        /** Closed days are days like others. */
        ALSO,
        NOT,
        ONLY;

        @Override
        public String id() {
            return "CLOSED_DAYS_" + name();
        }
    }

    public Schedule {
        periods = periods.stream().filter(period -> !period.equals(Period.OPEN)).toList();
        if (periods.size() > MOST_PERIODS) {
            throw new IllegalArgumentException(
                    "a rule is active in at most " + MOST_PERIODS + " periods, and this one has " + periods.size());
        }
        if (of.isPresent() && hours == Hours.ALWAYS) {
            throw new IllegalArgumentException(
                    "say whether it is active inside or outside of “" + of.get() + "”, or name no hours");
        }
    }

    public Schedule(Hours hours, Period period) {
        this(hours, Optional.empty(), OnClosedDays.AS_HOURS_ARE, List.of(period), Optional.empty());
    }

    /** The same at any of these times. */
    public Schedule during(List<Period> others) {
        return new Schedule(hours, of, onClosedDays, others, recurrence);
    }

    /** The same in its hours, whatever the day. */
    public Schedule onAnyDay() {
        return new Schedule(hours, of, onClosedDays, List.of(), Optional.empty());
    }

    /** The same on its days, whatever the hours. */
    public Schedule atAnyHour() {
        return new Schedule(Hours.ALWAYS, Optional.empty(), OnClosedDays.AS_HOURS_ARE, periods, recurrence);
    }

    /** The first instant from one on, within a time, at which another one is active too. */
    public Optional<Instant> firstWith(Schedule other, Instant from, Instant until, Opening opening) {
        Instant at = from;
        for (int looked = 0; looked < MOST_LOOKS && at.isBefore(until); looked++) {
            if (isActive(at, opening) && other.isActive(at, opening)) {
                return Optional.of(at);
            }
            at = firstChange(other, at, opening).orElse(until);
        }
        return Optional.empty();
    }

    /** The first instant after one at which this or another one becomes active or rests. */
    public Optional<Instant> firstChange(Schedule other, Instant after, Opening opening) {
        return Stream.of(nextChange(after, opening), other.nextChange(after, opening))
                .flatMap(Optional::stream)
                .min(Comparator.naturalOrder());
    }

    /** Whether it can't become active at or after an instant any more, as far as ten years ahead and its periods tell. */
    public boolean isOver(Instant at, Opening opening) {
        LocalDate day = LocalDate.ofInstant(at, opening.zone());
        boolean begins =
                periods.stream().anyMatch(period -> period.first().stream().anyMatch(day::isBefore));
        boolean known = own(opening).isPresent();
        return !isActive(at, opening) && nextChange(at, opening).isEmpty() && !(begins && known);
    }

    /** Where the hours that it names are unknown, it rests. */
    public boolean isActive(Instant at, Opening opening) {
        return equals(ALWAYS) || own(opening).filter(own -> isActiveIn(at, own)).isPresent();
    }

    private Optional<Opening> own(Opening opening) {
        return of.isPresent() ? opening.named(of.get()) : Optional.of(opening);
    }

    private boolean isActiveIn(Instant at, Opening own) {
        LocalDateTime wall = LocalDateTime.ofInstant(at, own.zone());
        LocalDate day = wall.toLocalDate();
        return isOnDay(day)
                && switch (hours) {
                    case ALWAYS -> isOnClosed(day, own);
                    case INSIDE -> own.isOpen(wall, begins(own));
                    case OUTSIDE ->
                        !own.isOpen(wall, onClosedDays == OnClosedDays.ALSO ? any -> true : open(own))
                                && isOnClosed(day, own);
                };
    }

    private boolean isOnDay(LocalDate day) {
        return (periods.isEmpty() || periods.stream().anyMatch(period -> period.contains(day)))
                && recurrence.map(days -> days.contains(day)).orElse(true);
    }

    private boolean isOnClosed(LocalDate day, Opening own) {
        return switch (onClosedDays) {
            case AS_HOURS_ARE, ALSO -> true;
            case NOT -> !own.closed().contains(day);
            case ONLY -> own.closed().contains(day);
        };
    }

    /** On which days hours begin. */
    private Predicate<LocalDate> begins(Opening own) {
        return switch (onClosedDays) {
            case AS_HOURS_ARE, NOT -> open(own);
            case ALSO -> any -> true;
            case ONLY -> own.closed()::contains;
        };
    }

    private static Predicate<LocalDate> open(Opening own) {
        return day -> !own.closed().contains(day);
    }

    /** The first instant after one at which it becomes active or rests; empty when there is none within ten years. */
    public Optional<Instant> nextChange(Instant after, Opening opening) {
        return equals(ALWAYS) ? Optional.empty() : own(opening).flatMap(own -> nextChangeIn(after, own));
    }

    private Optional<Instant> nextChangeIn(Instant after, Opening own) {
        boolean active = isActiveIn(after, own);
        LocalDate first = LocalDate.ofInstant(after, own.zone());
        return first.datesUntil(first.plusYears(YEARS_AHEAD))
                .filter(this::mayChangeOn)
                .flatMap(day -> edges(day, own).sorted())
                .filter(at -> at.isAfter(after) && isActiveIn(at, own) != active)
                .findFirst();
    }

    /**
     * When it is active within a time, in order; of very many spans the first.
     *
     * @param most spans at most
     */
    public List<ActiveSpan> spans(Instant from, Instant until, Opening opening, int most) {
        List<ActiveSpan> spans = new ArrayList<>();
        Instant at = from;
        while (at.isBefore(until) && spans.size() < most) {
            Instant next = nextChange(at, opening).filter(until::isAfter).orElse(until);
            if (isActive(at, opening)) {
                spans.add(new ActiveSpan(at, next));
            }
            at = next;
        }
        return spans;
    }

    /**
     * The first day of some days on which its days begin or end; a rule that rests for less than a week goes on.
     *
     * @param until the last day that is looked at
     */
    public Optional<Turn> nextTurn(LocalDate from, LocalDate until) {
        return from.datesUntil(until.plusDays(1))
                .flatMap(day -> turnOn(day).stream())
                .findFirst();
    }

    private Optional<Turn> turnOn(LocalDate day) {
        if (!isOnDay(day)) {
            return Optional.empty();
        }
        boolean begins = day.minusDays(REST).datesUntil(day).noneMatch(this::isOnDay);
        boolean ends = day.plusDays(1).datesUntil(day.plusDays(REST + 1)).noneMatch(this::isOnDay);
        if (begins && ends) {
            return Optional.of(new Turn(day, Turn.What.ALONE));
        }
        return begins || ends
                ? Optional.of(new Turn(day, begins ? Turn.What.BEGINS : Turn.What.ENDS))
                : Optional.empty();
    }

    /** It rests on days that are none of its days; a zone may have left out the day before this one. */
    private boolean mayChangeOn(LocalDate day) {
        return isOnDay(day) || isOnDay(day.minusDays(1)) || isOnDay(day.minusDays(2));
    }

    /** Every instant of a day at which the answer may change; in order within the day. */
    private Stream<Instant> edges(LocalDate day, Opening own) {
        ZoneId zone = own.zone();
        Stream<LocalDateTime> walls = hours == Hours.ALWAYS
                ? Stream.of(day.atStartOfDay())
                : Stream.concat(Stream.of(day.atStartOfDay()), own.edges(day));
        Stream<Instant> shifts = Optional.ofNullable(zone.getRules()
                        .nextTransition(day.atStartOfDay(zone).toInstant().minusMillis(1)))
                .map(ZoneOffsetTransition::getInstant)
                .stream();
        return Stream.concat(walls.flatMap(wall -> instants(wall, zone.getRules())), shifts)
                .filter(at -> LocalDate.ofInstant(at, zone).equals(day));
    }

    /** One instant; two where the clocks are set back; where they are put forward, the moment of the change. */
    private static Stream<Instant> instants(LocalDateTime wall, ZoneRules rules) {
        ZoneOffsetTransition shift = rules.getTransition(wall);
        return shift != null && shift.isGap()
                ? Stream.of(shift.getInstant())
                : rules.getValidOffsets(wall).stream().map(wall::toInstant);
    }

    /** All of it as one phrase. */
    public Statement statement() {
        Stream<Statement> when = Stream.of(
                        hoursStatement().stream(),
                        recurrence.map(Recurrence::statement).stream(),
                        periodsStatement().stream())
                .flatMap(part -> part);
        Optional<Statement> told = when.reduce((one, next) -> SchedulePhrase.HOURS_OF_DAYS.with(one, next));
        if (onClosedDays == OnClosedDays.AS_HOURS_ARE) {
            return told.orElseGet(hours::with);
        }
        return told.map(all -> SchedulePhrase.AND_CLOSED_DAYS.with(all, onClosedDays.with()))
                .orElseGet(onClosedDays::with);
    }

    private Optional<Statement> hoursStatement() {
        return switch (hours) {
            case ALWAYS -> Optional.empty();
            case INSIDE -> Optional.of(of.map(SchedulePhrase.INSIDE_NAMED::with).orElseGet(hours::with));
            case OUTSIDE ->
                Optional.of(of.map(SchedulePhrase.OUTSIDE_NAMED::with).orElseGet(hours::with));
        };
    }

    private Optional<Statement> periodsStatement() {
        List<Statement> all =
                periods.stream().flatMap(period -> period.statement().stream()).toList();
        return switch (all.size()) {
            case 0 -> Optional.empty();
            case 1 -> Optional.of(all.get(0));
            default -> Optional.of(SchedulePhrase.PERIODS.with(Argument.and(all)));
        };
    }
}
