package app.jubek.core.schedule;

import app.jubek.core.wording.Code;
import app.jubek.core.wording.Statement;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.zone.ZoneOffsetTransition;
import java.time.zone.ZoneRules;
import java.util.Optional;
import java.util.stream.Stream;

/** When a rule is active. */
public record Schedule(Hours hours, Period period) {
    public static final Schedule ALWAYS = new Schedule(Hours.ALWAYS, Period.OPEN);

    private static final int YEARS_AHEAD = 10;

    /** How it stands to the opening hours; outside is all the rest, closed days with it. */
    public enum Hours implements Code {
        ALWAYS,
        INSIDE,
        OUTSIDE;

        @Override
        public String id() {
            return "HOURS_" + name();
        }
    }

    public boolean isActive(Instant at, Opening opening) {
        if (equals(ALWAYS)) {
            return true;
        }
        LocalDateTime wall = LocalDateTime.ofInstant(at, opening.zone());
        return period.contains(wall.toLocalDate())
                && switch (hours) {
                    case ALWAYS -> true;
                    case INSIDE -> opening.isOpen(wall);
                    case OUTSIDE -> !opening.isOpen(wall);
                };
    }

    /** The first instant after one at which it becomes active or rests; empty when there is none within ten years. */
    public Optional<Instant> nextChange(Instant after, Opening opening) {
        boolean active = isActive(after, opening);
        LocalDate first = LocalDate.ofInstant(after, opening.zone());
        LocalDate end = first.plusYears(YEARS_AHEAD);
        if (equals(ALWAYS)) {
            return Optional.empty();
        }
        return first.datesUntil(end)
                .flatMap(day -> edges(day, opening).sorted())
                .filter(at -> at.isAfter(after) && isActive(at, opening) != active)
                .findFirst();
    }

    /** Every instant of a day at which the answer may change; in order within the day. */
    private Stream<Instant> edges(LocalDate day, Opening opening) {
        ZoneId zone = opening.zone();
        Stream<LocalDateTime> walls = hours == Hours.ALWAYS
                ? Stream.of(day.atStartOfDay())
                : Stream.concat(Stream.of(day.atStartOfDay()), opening.edges(day));
        Stream<Instant> shifts = Optional.ofNullable(zone.getRules()
                        .nextTransition(day.atStartOfDay(zone).toInstant().minusMillis(1)))
                .map(ZoneOffsetTransition::getInstant)
                .filter(at -> LocalDate.ofInstant(at, zone).equals(day))
                .stream();
        return Stream.concat(walls.flatMap(wall -> instants(wall, zone.getRules())), shifts);
    }

    /** One instant; two where the clocks are set back; where they are put forward, the moment of the change. */
    private static Stream<Instant> instants(LocalDateTime wall, ZoneRules rules) {
        ZoneOffsetTransition shift = rules.getTransition(wall);
        return shift != null && shift.isGap()
                ? Stream.of(shift.getInstant())
                : rules.getValidOffsets(wall).stream().map(wall::toInstant);
    }

    public Statement statement() {
        Optional<Statement> days = period.statement();
        return hours == Hours.ALWAYS
                ? days.orElseGet(hours::with)
                : days.map(at -> SchedulePhrase.HOURS_OF_DAYS.with(hours, at)).orElseGet(hours::with);
    }
}
