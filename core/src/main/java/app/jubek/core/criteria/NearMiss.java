package app.jubek.core.criteria;

import java.util.Optional;

/** Almost picked out: one criterion of an all-of group would have to turn while another, positive one holds. */
public final class NearMiss {
    private NearMiss() {}

    /** The one criterion that fails, or empty when the message is no near miss. */
    public static Optional<Criterion> of(Criterion picksOut, Hits hits) {
        if (!(picksOut instanceof Group group) || group.how() != Group.How.ALL) {
            return Optional.empty();
        }
        Optional<Criterion> failing = Optional.empty();
        boolean positiveHolds = false;
        for (Criterion criterion : group.criteria()) {
            boolean holds = criterion.holds(hits);
            if (!holds && failing.isPresent()) {
                return Optional.empty();
            }
            failing = holds ? failing : Optional.of(criterion);
            positiveHolds |= holds && criterion instanceof Test test && !test.negated();
        }
        return positiveHolds ? failing : Optional.empty();
    }
}
