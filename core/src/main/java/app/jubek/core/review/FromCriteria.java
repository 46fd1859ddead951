package app.jubek.core.review;

import app.jubek.core.address.MailAddress;
import app.jubek.core.criteria.AddressCriterion;
import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.Group;
import app.jubek.core.criteria.Nothing;
import app.jubek.core.criteria.SimpleCriterion;
import app.jubek.core.criteria.TextCriterion;
import app.jubek.core.people.OwnSide;
import app.jubek.core.review.Finding.Remedy;
import app.jubek.core.review.Finding.Sort;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.step.Step;
import app.jubek.core.wording.Argument;
import app.jubek.core.wording.Phrase;
import app.jubek.core.wording.Statement;
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

    private void note(Sort sort, Rule rule, Statement cause, Statement remedy, RuleBook changed) {
        found.add(new Finding(sort, rule.id(), cause, Optional.empty(), Optional.of(new Remedy(remedy, changed))));
    }

    private void backToOwn(Rule rule) {
        List<MailAddress> back = rule.handsOn()
                .flatMap(step -> step.to().stream())
                .filter(own::isOwn)
                .toList();
        if (!back.isEmpty()) {
            Argument names =
                    Argument.and(back.stream().map(MailAddress::address).toList());
            note(
                    Sort.BACK_TO_OWN_MAILBOX,
                    rule,
                    FindingText.BACK_TO_THIS_MAILBOX.with(names),
                    RemedyText.REMOVE_ADDRESSES.with(names),
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

    private boolean canNeverMatch(Rule rule) {
        boolean leftOut =
                !(rule.leavesOut() instanceof Nothing) && Covering.holdsWherever(rule.leavesOut(), rule.picksOut());
        boolean excluded = rule.picksOut() instanceof Group group
                && group.how() == Group.Quantifier.ALL
                && Covering.excludeEachOther(group.criteria());
        if (leftOut) {
            note(
                    Sort.CAN_NEVER_MATCH,
                    rule,
                    FindingText.EXCEPTIONS_LEAVE_OUT_ALL.with(),
                    RemedyText.REMOVE_EXCEPTIONS.with(),
                    Books.with(book, rule, r -> r.leavingOut(new Nothing())));
        } else if (excluded) {
            note(
                    Sort.CAN_NEVER_MATCH,
                    rule,
                    FindingText.CRITERIA_EXCLUDE_EACH_OTHER.with(),
                    RemedyText.LET_ANY_DO.with(),
                    Books.with(
                            book,
                            rule,
                            r -> r.pickingOut(new Group(Group.Quantifier.ANY, ((Group) r.picksOut()).criteria()))));
        }
        return leftOut || excluded;
    }

    private void coveredValues(Rule rule) {
        List<String> covered = Stream.of(rule.picksOut(), rule.leavesOut())
                .flatMap(criterion -> criterion.tests().stream())
                .flatMap(test -> of(test.written(), test.covered(), Optional::isPresent))
                .distinct()
                .toList();
        if (!covered.isEmpty()) {
            Argument names = Argument.and(covered.stream().map(Phrase::quoted).toList());
            note(
                    Sort.COVERED_VALUES,
                    rule,
                    FindingText.VALUES_ADD_NOTHING.with(names, covered.size()),
                    RemedyText.REMOVE_VALUES.with(covered.size()),
                    Books.with(
                            book,
                            rule,
                            r -> r.pickingOut(withoutCovered(r.picksOut())).leavingOut(withoutCovered(r.leavesOut()))));
        }
    }

    private static Criterion withoutCovered(Criterion criterion) {
        if (criterion instanceof Group group) {
            return new Group(
                    group.how(),
                    group.criteria().stream().map(FromCriteria::withoutCovered).toList());
        }
        if (criterion instanceof AddressCriterion test) {
            return new AddressCriterion(test.part(), test.how(), uncovered(test, test.values()), test.negated());
        }
        return criterion instanceof TextCriterion test
                ? new TextCriterion(test.part(), uncovered(test, test.values()), test.negated())
                : criterion;
    }

    private static <T> List<T> uncovered(SimpleCriterion test, List<T> values) {
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
                    && before.steps().equals(rule.steps())
                    && before.schedule().equals(rule.schedule());
            if (same) {
                note(
                        Sort.SAME_AS_ANOTHER,
                        rule,
                        FindingText.SAME_AS.with(before.name()),
                        RemedyText.REMOVE_THIS_RULE.with(),
                        Books.without(book, rule));
                return;
            }
            if (takesAll && before.ends()) {
                note(
                        Sort.NEVER_REACHED,
                        rule,
                        FindingText.STOPPED_BY_RULE_ABOVE.with(before.name()),
                        RemedyText.MOVE_IT_ABOVE.with(before.name()),
                        Books.movedAbove(book, rule, before));
                return;
            }
        }
    }
}
