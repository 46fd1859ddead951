package app.jubek.core.trial;

import app.jubek.core.rule.Rule;
import app.jubek.core.sample.MadeUp;
import app.jubek.core.schedule.Opening;
import app.jubek.core.schedule.Period;
import app.jubek.core.schedule.Recurrence;
import app.jubek.core.schedule.Schedule;
import app.jubek.core.wording.Statement;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** The days and hours of a rule, and every single change of them. */
final class Days {
    private static final int LOOKED_AHEAD = 14;
    private static final List<Integer> HOURS = Stream.concat(
                    Stream.of(10),
                    IntStream.range(0, 24).filter(hour -> hour != 10).boxed())
            .toList();

    private final Rule rule;
    private final Schedule schedule;
    private final Opening opening;
    private final LocalDate today;
    private final Instant now;
    private final List<Mutant> mutants = new ArrayList<>();

    Days(Rule rule, Opening opening, Instant now) {
        this.rule = rule;
        this.schedule = rule.schedule();
        this.opening = opening;
        this.now = now;
        this.today = LocalDate.ofInstant(now, opening.zone());
    }

    /** An instant at which the rule is active; none is needed where it always is. */
    List<Instant> whenActive() {
        return schedule.equals(Schedule.ALWAYS)
                ? List.of()
                : Stream.concat(Stream.of(now), days().flatMap(this::hours))
                        .filter(at -> schedule.isActive(at, opening))
                        .findFirst()
                        .stream()
                        .toList();
    }

    /** The days of its periods that are nearest, or those at their ends, and the next that recur or are closed. */
    private Stream<LocalDate> days() {
        Stream<LocalDate> ends = schedule.periods().stream()
                .flatMap(period -> Stream.concat(
                        period.first().stream().flatMap(day -> day.datesUntil(day.plusDays(LOOKED_AHEAD))),
                        period.last().stream()
                                .flatMap(day -> day.minusDays(LOOKED_AHEAD).datesUntil(day.plusDays(1)))));
        Stream<LocalDate> recurring = schedule.recurrence().flatMap(days -> days.next(today)).stream();
        Stream<LocalDate> closed = opening.closed().stream()
                .filter(day -> !day.isBefore(today))
                .sorted()
                .limit(LOOKED_AHEAD);
        return Stream.of(today.datesUntil(today.plusDays(LOOKED_AHEAD)), ends, recurring, closed)
                .flatMap(days -> days);
    }

    private Stream<Instant> hours(LocalDate day) {
        return HOURS.stream()
                .map(hour -> day.atTime(hour, 0).atZone(opening.zone()).toInstant());
    }

    List<Mutant> mutants() {
        for (int i = 0; i < schedule.periods().size(); i++) {
            period(i, schedule.periods().get(i));
        }
        if (schedule.hours() != Schedule.Hours.ALWAYS) {
            add("resting", CasePhrase.RESTING.with(), days(), without(schedule.recurrence()));
        }
        if (schedule.recurrence().isPresent()) {
            add("not-recurring", CasePhrase.RESTING.with(), days(), recurring(Optional.empty()));
        }
        return mutants;
    }

    private Schedule recurring(Optional<Recurrence> other) {
        return new Schedule(schedule.hours(), schedule.of(), schedule.onClosedDays(), schedule.periods(), other);
    }

    private Schedule without(Optional<Recurrence> recurrence) {
        return new Schedule(
                Schedule.Hours.ALWAYS,
                Optional.empty(),
                Schedule.OnClosedDays.AS_HOURS_ARE,
                schedule.periods(),
                recurrence);
    }

    private void period(int at, Period period) {
        String place = at == 0 ? "" : String.valueOf(at + 1);
        period.first().ifPresent(first -> {
            LocalDate next = first.plusDays(1);
            Optional<LocalDate> last = period.last().map(day -> day.isBefore(next) ? next : day);
            add(place + "first", CasePhrase.FIRST_DAY.with(first), first, at, new Period(Optional.of(next), last));
            LocalDate before = first.minusDays(1);
            Period longer = new Period(Optional.of(before), period.last());
            add(place + "before", CasePhrase.DAY_BEFORE.with(before), before, at, longer);
        });
        period.last().ifPresent(last -> {
            LocalDate earlier = last.minusDays(1);
            Optional<LocalDate> first = period.first().map(day -> day.isAfter(earlier) ? earlier : day);
            add(place + "last", CasePhrase.LAST_DAY.with(last), last, at, new Period(first, Optional.of(earlier)));
            LocalDate after = last.plusDays(1);
            Period longer = new Period(period.first(), Optional.of(after));
            add(place + "after", CasePhrase.DAY_AFTER.with(after), after, at, longer);
        });
    }

    private void add(String key, Statement what, LocalDate day, int at, Period changed) {
        List<Period> periods = new ArrayList<>(schedule.periods());
        periods.set(at, changed);
        add(key, what, Stream.of(day), schedule.during(periods));
    }

    private void add(String key, Statement what, Stream<LocalDate> on, Schedule changed) {
        List<Instant> at = on.flatMap(this::hours)
                .filter(hour -> schedule.isActive(hour, opening) != changed.isActive(hour, opening))
                .limit(1)
                .toList();
        if (!at.isEmpty()) {
            List<MadeUp.Wish> wishes = List.of(new MadeUp.Wish(rule.picksOut(), true));
            mutants.add(new Mutant(key, what, rule.active(changed), wishes, Optional.empty(), at));
        }
    }
}
