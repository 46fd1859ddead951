package app.jubek.core.decide;

import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.Group;
import app.jubek.core.criteria.Hits;

/** Which criterion decided, for telling people why. */
final class Blame {
    private Blame() {}

    /** The first criterion inside that is not met; only for a criterion that does not hold. */
    static Criterion forFailing(Criterion criterion, Hits hits) {
        if (criterion instanceof Group group && group.how() == Group.Quantifier.ALL) {
            return group.criteria().stream()
                    .filter(inner -> !inner.holds(hits))
                    .findFirst()
                    .map(inner -> forFailing(inner, hits))
                    .orElse(criterion);
        }
        return criterion;
    }

    /** The first criterion inside that is met; only for a criterion that holds. */
    static Criterion forHolding(Criterion criterion, Hits hits) {
        if (criterion instanceof Group group && group.how() == Group.Quantifier.ANY) {
            return group.criteria().stream()
                    .filter(inner -> inner.holds(hits))
                    .findFirst()
                    .map(inner -> forHolding(inner, hits))
                    .orElse(criterion);
        }
        return criterion;
    }
}
