package app.jubek.core.review;

import app.jubek.core.review.Finding.Remedy;
import app.jubek.core.review.Finding.Sort;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.schedule.Opening;
import app.jubek.core.schedule.Period;
import app.jubek.core.schedule.Schedule;
import app.jubek.core.schedule.Schedule.Hours;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** Findings on rules that pick the same mail at different times: one relieves the other. */
final class FromRelief {
    /** More days between them are two seasons, and no relief. */
    private static final int MOST_DAYS = 31;

    /** Hours recur week by week; closed days are known for longer, and looked at when they come near. */
    private static final Duration AHEAD = Duration.ofDays(35);

    private static final int MOST_LOOKS = 500;

    private final RuleBook book;
    private final Opening opening;
    private final Instant now;

    FromRelief(RuleBook book, Opening opening, Instant now) {
        this.book = book;
        this.opening = opening;
        this.now = now;
    }

    List<Finding> findings() {
        return book.rules().stream()
                .filter(Rule::on)
                .collect(Collectors.groupingBy(
                        rule -> List.of(rule.picksOut(), rule.leavesOut()), LinkedHashMap::new, Collectors.toList()))
                .values()
                .stream()
                .flatMap(rules -> Stream.concat(byDays(rules), byHours(rules)))
                .toList();
    }

    /** One of the periods of a rule. */
    private record Shift(Rule rule, Period days) {
        boolean isBefore(Shift next) {
            boolean endsBefore = days.last().isPresent()
                    && next.days.last().map(days.last().get()::isBefore).orElse(true);
            boolean beginsBefore = next.days.first().isPresent()
                    && days.first().map(next.days.first().get()::isAfter).orElse(true);
            return endsBefore && beginsBefore && !rule.equals(next.rule);
        }
    }

    private Stream<Finding> byDays(List<Rule> rules) {
        List<Shift> shifts = rules.stream()
                .flatMap(rule -> rule.schedule().periods().stream().map(days -> new Shift(rule, days)))
                .sorted(Comparator.comparing(shift -> shift.days().first().orElse(LocalDate.MIN)))
                .toList();
        return IntStream.range(1, shifts.size())
                .filter(i -> shifts.get(i - 1).isBefore(shifts.get(i)))
                .mapToObj(i -> byDays(shifts.get(i - 1), shifts.get(i), rules))
                .flatMap(Optional::stream);
    }

    private Optional<Finding> byDays(Shift before, Shift after, List<Rule> rules) {
        Schedule first = before.rule().schedule();
        if (!first.during(List.of()).equals(after.rule().schedule().during(List.of()))) {
            return Optional.empty();
        }
        return before.days()
                .gapBefore(after.days())
                .filter(days -> isAhead(days)
                        && isActiveIn(days, first.during(List.of(days)))
                        && rules.stream().noneMatch(rule -> isActiveIn(days, rule.schedule())))
                .map(days -> gap(before, after, days))
                .or(() -> before.days()
                        .sharedWith(after.days())
                        .filter(days -> isAhead(days) && isActiveIn(days, first) && goesOn(before.rule(), after.rule()))
                        .map(days -> overlap(before, after, days)));
    }

    private boolean isAhead(Period days) {
        LocalDate last = days.last().orElseThrow();
        return !last.isBefore(LocalDate.ofInstant(now, opening.zone()))
                && !last.isAfter(days.first().orElseThrow().plusDays(MOST_DAYS - 1L));
    }

    /** Nobody is missed on a Sunday by rules of working days. */
    private boolean isActiveIn(Period days, Schedule schedule) {
        Instant from = days.first().orElseThrow().atStartOfDay(opening.zone()).toInstant();
        Instant until = days.last()
                .orElseThrow()
                .plusDays(1)
                .atStartOfDay(opening.zone())
                .toInstant();
        return !schedule.spans(from, until, opening, 1).isEmpty();
    }

    /** Whether mail reaches both while both are active. */
    private boolean goesOn(Rule one, Rule other) {
        List<Rule> rules = book.rules();
        return !(rules.indexOf(one) < rules.indexOf(other) ? one : other).ends();
    }

    private Finding gap(Shift before, Shift after, Period days) {
        LocalDate begins = days.first().orElseThrow();
        Period longer = new Period(Optional.of(begins), after.days().last());
        return new Finding(
                Sort.GAP_BETWEEN,
                after.rule().id(),
                FindingText.NEITHER_ACTIVE.with(before.rule().name(), days.told()),
                Optional.empty(),
                Optional.of(new Remedy(RemedyText.BEGIN_ON.with(begins), on(after, longer))));
    }

    private Finding overlap(Shift before, Shift after, Period days) {
        LocalDate ends = after.days().first().orElseThrow().minusDays(1);
        Period shorter = new Period(before.days().first(), Optional.of(ends));
        return new Finding(
                Sort.BOTH_ACTIVE,
                after.rule().id(),
                FindingText.BOTH_ACTIVE_ON.with(before.rule().name(), days.told()),
                Optional.empty(),
                Optional.of(new Remedy(RemedyText.END_ON.with(before.rule().name(), ends), on(before, shorter))));
    }

    private RuleBook on(Shift shift, Period days) {
        List<Period> periods = shift.rule().schedule().periods().stream()
                .map(one -> one.equals(shift.days()) ? days : one)
                .toList();
        return Books.with(book, shift.rule(), r -> r.active(r.schedule().during(periods)));
    }

    private Stream<Finding> byHours(List<Rule> rules) {
        return rules.stream()
                .filter(rule -> rule.schedule().hours() == Hours.INSIDE)
                .flatMap(inside -> rules.stream()
                        .filter(rule -> rule.schedule().hours() == Hours.OUTSIDE)
                        .filter(outside -> isOnSameDays(inside.schedule(), outside.schedule()))
                        .flatMap(outside -> byHours(inside, outside, rules).stream()));
    }

    private static boolean isOnSameDays(Schedule inside, Schedule outside) {
        return inside.atAnyHour().equals(outside.atAnyHour());
    }

    /** One inside and one outside of hours: as they may have other hours, or take closed days in another way. */
    private Optional<Finding> byHours(Rule inside, Rule outside, List<Rule> rules) {
        Schedule one = inside.schedule();
        Schedule other = outside.schedule();
        Instant at = now;
        Instant until = now.plus(AHEAD);
        for (int looked = 0; looked < MOST_LOOKS && at.isBefore(until); looked++) {
            Instant then = at;
            boolean both = one.isActive(at, opening) && other.isActive(at, opening);
            boolean nobody = one.atAnyHour().isActive(at, opening)
                    && rules.stream().noneMatch(rule -> rule.schedule().isActive(then, opening));
            if (nobody || both && goesOn(inside, outside)) {
                return Optional.of(atTimes(inside, outside, LocalDate.ofInstant(at, opening.zone()), both));
            }
            at = one.firstChange(other, at, opening).orElse(until);
        }
        return Optional.empty();
    }

    private static Finding atTimes(Rule inside, Rule outside, LocalDate day, boolean active) {
        return new Finding(
                active ? Sort.BOTH_ACTIVE : Sort.GAP_BETWEEN,
                outside.id(),
                (active ? FindingText.BOTH_ACTIVE_AT_TIMES : FindingText.NEITHER_ACTIVE_AT_TIMES)
                        .with(inside.name(), day),
                Optional.empty(),
                Optional.empty());
    }
}
