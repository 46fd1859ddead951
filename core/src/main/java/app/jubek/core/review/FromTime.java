package app.jubek.core.review;

import app.jubek.core.review.Finding.Remedy;
import app.jubek.core.review.Finding.Sort;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.schedule.Opening;
import app.jubek.core.schedule.Period;
import app.jubek.core.step.Step;
import app.jubek.core.template.Prepared;
import app.jubek.core.template.Template;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** Findings on when rules are active, and on what they say then. */
final class FromTime {
    private final RuleBook book;
    private final Prepared prepared;
    private final Opening opening;
    private final Instant now;

    FromTime(RuleBook book, Prepared prepared, Opening opening, Instant now) {
        this.book = book;
        this.prepared = prepared;
        this.opening = opening;
        this.now = now;
    }

    List<Finding> findings() {
        Stream<Finding> ofEach = book.rules().stream()
                .filter(Rule::on)
                .flatMap(rule ->
                        rule.schedule().isOver(now, opening) ? Stream.of(over(rule)) : passingDay(rule).stream());
        return Stream.concat(ofEach, new FromRelief(book, opening, now).findings().stream())
                .toList();
    }

    private Finding over(Rule rule) {
        return new Finding(
                Sort.NEVER_ACTIVE,
                rule.id(),
                rule.schedule()
                        .of()
                        .filter(name -> opening.named(name).isEmpty())
                        .map(FindingText.UNKNOWN_HOURS::with)
                        .orElseGet(() -> FindingText.NEVER_ACTIVE_AGAIN.with(
                                rule.schedule().statement())),
                Optional.empty(),
                Optional.of(new Remedy(RemedyText.PAUSE_IT.with(), Books.with(book, rule, r -> r.switched(false)))));
    }

    /** The last day that a reply names lies within the time in which it goes out. */
    private Optional<Finding> passingDay(Rule rule) {
        List<Period> periods = rule.schedule().periods();
        boolean bounded = !periods.isEmpty()
                && periods.stream().allMatch(one -> one.last().isPresent());
        if (!bounded) {
            return Optional.empty();
        }
        LocalDate last = periods.stream()
                .flatMap(one -> one.last().stream())
                .max(Comparator.naturalOrder())
                .orElseThrow();
        return rule.steps().stream()
                .filter(Step.Reply.class::isInstance)
                .flatMap(step -> lastNamed((Step.Reply) step).stream())
                .filter(named -> named.getValue().isBefore(last)
                        && periods.stream().anyMatch(one -> one.contains(named.getValue())))
                .findFirst()
                .map(named -> new Finding(
                        Sort.NAMES_A_DAY_THAT_PASSES,
                        rule.id(),
                        FindingText.NAMES_PASSING_DAY.with(last, named.getKey()),
                        Optional.empty(),
                        Optional.empty()));
    }

    private Optional<Map.Entry<String, LocalDate>> lastNamed(Step.Reply reply) {
        return reply
                .template()
                .map(prepared::template)
                .orElseGet(() -> Template.written(reply.subject(), reply.text()))
                .stream()
                .flatMap(template -> template.dates().entrySet().stream())
                .max(Map.Entry.comparingByValue());
    }
}
