package app.jubek.core.review;

import app.jubek.core.address.MailAddress;
import app.jubek.core.criteria.AddressTest;
import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.Group;
import app.jubek.core.criteria.Nothing;
import app.jubek.core.criteria.Test;
import app.jubek.core.criteria.TextTest;
import app.jubek.core.people.OwnSide;
import app.jubek.core.review.Finding.Remedy;
import app.jubek.core.review.Finding.Sort;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.step.Step;
import app.jubek.core.text.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** Findings that the rules alone show. */
final class FromCriteria {
    private final RuleBook book;
    private final OwnSide own;
    private final List<Finding> found = new ArrayList<>();

    FromCriteria(RuleBook book, OwnSide own) {
        this.book = book;
        this.own = own;
    }

    List<Finding> findings() {
        List<Rule> on = book.rules().stream().filter(Rule::on).toList();
        for (int i = 0; i < on.size(); i++) {
            Rule rule = on.get(i);
            backToOwn(rule);
            if (canNeverMatch(rule)) {
                continue;
            }
            coveredValues(rule);
            besideEarlier(rule, on.subList(0, i));
        }
        return found;
    }

    private void note(Sort sort, Rule rule, String cause, String remedy, RuleBook changed) {
        found.add(new Finding(sort, rule.id(), cause, Optional.empty(), Optional.of(new Remedy(remedy, changed))));
    }

    private void backToOwn(Rule rule) {
        List<MailAddress> back = handsOn(rule)
                .flatMap(step -> step.to().stream())
                .filter(own::isOwn)
                .toList();
        if (!back.isEmpty()) {
            String names = Words.and(back.stream().map(MailAddress::address).toList());
            note(
                    Sort.BACK_TO_OWN_MAILBOX,
                    rule,
                    "It hands mail to " + names + ", which reaches this very mailbox.",
                    "Take " + names + " out of it",
                    Books.with(book, rule, this::withoutOwn));
        }
    }

    private Rule withoutOwn(Rule rule) {
        return Books.doing(rule, rule.steps().stream().flatMap(this::withoutOwn).toList());
    }

    private Stream<Step> withoutOwn(Step step) {
        if (!(step instanceof Step.HandOn handOn) || handOn.to().stream().noneMatch(own::isOwn)) {
            return Stream.of(step);
        }
        List<MailAddress> others =
                handOn.to().stream().filter(to -> !own.isOwn(to)).toList();
        boolean nobody = others.isEmpty() && handOn.groups().isEmpty();
        return nobody ? Stream.empty() : Stream.of(handOn.to(others));
    }

    static Stream<Step.HandOn> handsOn(Rule rule) {
        return rule.steps().stream()
                .flatMap(step -> step instanceof Step.HandOn handOn ? Stream.of(handOn) : Stream.empty());
    }

    private boolean canNeverMatch(Rule rule) {
        boolean spared =
                !(rule.leavesOut() instanceof Nothing) && Covering.holdsWherever(rule.leavesOut(), rule.picksOut());
        boolean excluded = rule.picksOut() instanceof Group group
                && group.how() == Group.How.ALL
                && Covering.excludeEachOther(group.criteria());
        if (spared) {
            note(
                    Sort.CAN_NEVER_MATCH,
                    rule,
                    "Its exceptions leave out everything that it picks out.",
                    "Remove its exceptions",
                    Books.with(book, rule, r -> Books.leaving(r, new Nothing())));
        } else if (excluded) {
            note(
                    Sort.CAN_NEVER_MATCH,
                    rule,
                    "No message can meet all of its criteria at once.",
                    "Let any of them do",
                    Books.with(
                            book,
                            rule,
                            r -> Books.picking(r, new Group(Group.How.ANY, ((Group) r.picksOut()).criteria()))));
        }
        return spared || excluded;
    }

    private void coveredValues(Rule rule) {
        List<String> covered = Stream.of(rule.picksOut(), rule.leavesOut())
                .flatMap(criterion -> criterion.tests().stream())
                .flatMap(test -> of(test.written(), test.covered(), Optional::isPresent))
                .distinct()
                .toList();
        if (!covered.isEmpty()) {
            String names = Words.and(covered.stream().map(Words::quoted).toList());
            note(
                    Sort.COVERED_VALUES,
                    rule,
                    names + (covered.size() == 1 ? " adds" : " add") + " nothing: another value takes all of it.",
                    "Drop " + (covered.size() == 1 ? "it" : "the " + covered.size()),
                    Books.with(
                            book,
                            rule,
                            r -> Books.leaving(
                                    Books.picking(r, withoutCovered(r.picksOut())), withoutCovered(r.leavesOut()))));
        }
    }

    private static Criterion withoutCovered(Criterion criterion) {
        if (criterion instanceof Group group) {
            return new Group(
                    group.how(),
                    group.criteria().stream().map(FromCriteria::withoutCovered).toList());
        }
        if (criterion instanceof AddressTest test) {
            return new AddressTest(test.part(), test.how(), uncovered(test, test.values()), test.negated());
        }
        return criterion instanceof TextTest test
                ? new TextTest(test.part(), uncovered(test, test.values()), test.negated())
                : criterion;
    }

    private static <T> List<T> uncovered(Test test, List<T> values) {
        return of(values, test.covered(), Optional::isEmpty).toList();
    }

    private static <T> Stream<T> of(
            List<T> values, List<Optional<Integer>> covered, Predicate<Optional<Integer>> wanted) {
        return IntStream.range(0, values.size())
                .filter(i -> wanted.test(covered.get(i)))
                .mapToObj(values::get);
    }

    private void besideEarlier(Rule rule, List<Rule> earlier) {
        for (Rule before : earlier) {
            boolean takesAll = Covering.holdsWherever(before.picksOut(), rule.picksOut())
                    && before.leavesOut() instanceof Nothing
                    && before.schedule().equals(rule.schedule());
            boolean same = before.picksOut().equals(rule.picksOut())
                    && before.leavesOut().equals(rule.leavesOut())
                    && before.steps().equals(rule.steps());
            if (same) {
                note(
                        Sort.SAME_AS_ANOTHER,
                        rule,
                        "It picks out and does the same as " + Words.quoted(before.name()) + ".",
                        "Remove this one",
                        Books.without(book, rule));
                return;
            }
            if (takesAll && before.ends()) {
                note(
                        Sort.NEVER_REACHED,
                        rule,
                        Words.quoted(before.name()) + " stands above it, takes all of its mail and ends there.",
                        "Move it above " + Words.quoted(before.name()),
                        Books.movedAbove(book, rule, before));
                return;
            }
        }
    }
}
