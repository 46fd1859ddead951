package app.jubek.core.trial;

import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.Everything;
import app.jubek.core.criteria.Group;
import app.jubek.core.criteria.SimpleCriterion;
import app.jubek.core.rule.Rule;
import app.jubek.core.sample.MadeUp;
import app.jubek.core.schedule.Opening;
import app.jubek.core.wording.Statement;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Every single change of a rule that its trials should notice. */
final class Mutants {
    /** More than that nobody keeps trials for. */
    private static final int MOST = 100;

    private final Rule rule;
    private final List<Instant> whenActive;
    private final List<Mutant> all = new ArrayList<>();

    private Mutants(Rule rule, List<Instant> whenActive) {
        this.rule = rule;
        this.whenActive = whenActive;
    }

    static List<Mutant> of(Rule rule, Opening opening, Instant now) {
        Days days = new Days(rule, opening, now);
        Mutants mutants = new Mutants(rule, days.whenActive());
        mutants.ofPicking();
        mutants.ofExceptions();
        mutants.all.addAll(days.mutants());
        return mutants.all.stream().limit(MOST).toList();
    }

    /**
     * Where a criterion stands.
     *
     * @param path indexes from the outermost group inwards
     * @param optional whether the whole can hold without it
     * @param turned whether the whole fails where it holds
     */
    private record Place(String path, boolean optional, boolean turned) {
        Place inside(Group group, int index) {
            boolean all = group.how() == Group.Quantifier.ALL;
            boolean none = group.how() == Group.Quantifier.NONE;
            return new Place(
                    path + "." + index, optional || !all && group.criteria().size() > 1, turned != none);
        }
    }

    private interface Change {
        /**
         * @param part of the criterion, and what stands in its place
         */
        void of(Place place, Criterion part, int value, Criterion now);
    }

    private void ofPicking() {
        Criterion root = rule.picksOut();
        int before = all.size();
        walk(root, new Place("", false, false), (place, part, value, now) -> {
            boolean nearly = now instanceof Everything;
            boolean picked = !nearly && !isTurned(place, part);
            Statement what = nearly
                    ? CasePhrase.NEARLY.with(part.statement())
                    : (picked ? CasePhrase.ALONE : CasePhrase.KEPT_OUT).with(shown(part, value));
            add(
                    (nearly ? "without" : "value") + place.path() + ":" + value,
                    what,
                    rule.pickingOut(root.replacing(part, now)),
                    List.of(new MadeUp.Wish(root, picked)),
                    Optional.of(new MadeUp.Aim(part, value)));
        });
        List<Mutant> found = List.copyOf(all.subList(before, all.size()));
        if (found.stream().noneMatch(one -> one.wishes().get(0).met())) {
            all.add(before, mutant("picked", CasePhrase.PICKED.with(), Values.NEVER, true));
        }
        if (found.stream().allMatch(one -> one.wishes().get(0).met()) && !(root instanceof Everything)) {
            all.add(mutant("other", CasePhrase.OTHER.with(), new Everything(), false));
        }
    }

    private static boolean isTurned(Place place, Criterion part) {
        return place.turned() != (part instanceof SimpleCriterion test && test.negated());
    }

    private static Statement shown(Criterion part, int value) {
        return (part instanceof SimpleCriterion test ? Values.alone(test, value) : part).statement();
    }

    private Mutant mutant(String key, Statement what, Criterion picksOut, boolean picked) {
        List<MadeUp.Wish> wishes = List.of(new MadeUp.Wish(rule.picksOut(), picked));
        return new Mutant(key, what, rule.pickingOut(picksOut), wishes, Optional.empty(), whenActive);
    }

    private void ofExceptions() {
        if (!rule.hasExceptions()) {
            return;
        }
        Criterion root = rule.leavesOut();
        walk(root, new Place("", true, false), (place, part, value, now) -> {
            boolean nearly = now instanceof Everything;
            Statement what =
                    nearly ? CasePhrase.NEARLY.with(part.statement()) : CasePhrase.EXCEPTION.with(shown(part, value));
            add(
                    "exception" + place.path() + ":" + value + (nearly ? "-" : ""),
                    what,
                    rule.leavingOut(root.replacing(part, now)),
                    List.of(
                            new MadeUp.Wish(rule.picksOut(), true),
                            new MadeUp.Wish(root, !nearly && !isTurned(place, part))),
                    Optional.of(new MadeUp.Aim(part, value)));
        });
    }

    private void add(String key, Statement what, Rule changed, List<MadeUp.Wish> wishes, Optional<MadeUp.Aim> aim) {
        all.add(new Mutant(key, what, changed, wishes, aim, whenActive));
    }

    private static void walk(Criterion criterion, Place place, Change change) {
        if (criterion instanceof SimpleCriterion test) {
            boolean several = test.terms().size() > 1;
            for (int value = 0;
                    (several || place.optional()) && value < test.terms().size();
                    value++) {
                change.of(place, test, value, Values.without(test, value));
            }
        } else if (criterion instanceof Group group) {
            walk(group, place, change);
        }
    }

    private static void walk(Group group, Place place, Change change) {
        boolean each = group.how() == Group.Quantifier.ALL && group.criteria().size() > 1;
        for (int i = 0; i < group.criteria().size(); i++) {
            Criterion inner = group.criteria().get(i);
            Place inside = place.inside(group, i);
            if (each) {
                change.of(inside, inner, 0, new Everything());
            }
            walk(inner, inside, change);
        }
    }
}
