package app.jubek.formats.sieve;

import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.Everything;
import app.jubek.core.criteria.Group;
import app.jubek.core.criteria.Nothing;
import app.jubek.core.criteria.SimpleCriterion;
import java.util.ArrayList;
import java.util.List;

/** Groups of criteria with what is always true or never true taken out. */
final class Conditions {
    private Conditions() {}

    static Criterion all(List<Criterion> criteria) {
        List<Criterion> needed = new ArrayList<>();
        for (Criterion criterion : criteria) {
            if (criterion instanceof Nothing) {
                return criterion;
            }
            if (criterion instanceof Group group && group.how() == Group.Quantifier.ALL) {
                needed.addAll(group.criteria());
            } else if (!(criterion instanceof Everything)) {
                needed.add(criterion);
            }
        }
        return needed.isEmpty() ? new Everything() : single(Group.Quantifier.ALL, needed);
    }

    static Criterion any(List<Criterion> criteria) {
        List<Criterion> possible = new ArrayList<>();
        for (Criterion criterion : criteria) {
            if (criterion instanceof Everything) {
                return criterion;
            }
            if (criterion instanceof Group group && group.how() == Group.Quantifier.ANY) {
                possible.addAll(group.criteria());
            } else if (!(criterion instanceof Nothing)) {
                possible.add(criterion);
            }
        }
        return possible.isEmpty() ? new Nothing() : single(Group.Quantifier.ANY, possible);
    }

    private static Criterion single(Group.Quantifier how, List<Criterion> criteria) {
        return criteria.size() == 1 ? criteria.get(0) : new Group(how, criteria);
    }

    static Criterion not(Criterion criterion) {
        if (criterion instanceof Everything) {
            return new Nothing();
        }
        if (criterion instanceof Nothing) {
            return new Everything();
        }
        if (criterion instanceof SimpleCriterion test) {
            return test.turned();
        }
        if (criterion instanceof Group group && group.how() == Group.Quantifier.NONE) {
            return any(group.criteria());
        }
        return criterion instanceof Group group && group.how() == Group.Quantifier.ANY
                ? new Group(Group.Quantifier.NONE, group.criteria())
                : new Group(Group.Quantifier.NONE, List.of(criterion));
    }
}
