package app.jubek.core.evidence;

import app.jubek.core.corpus.Corpus;
import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.Group;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;

/**
 * What "all of these" and "any of these" mean, shown on real mail: the newest message that meets every criterion of a
 * group, and the newest that meets only one.
 *
 * @param all its place in the evidence
 */
public record AllOrAny(Optional<Integer> all, Optional<One> one) {

    /**
     * @param at a message's place in the evidence
     * @param criterion which criterion of the group it meets, from 0
     */
    public record One(int at, int criterion) {}

    /** Empty when the criterion is no group of several. */
    public static Optional<AllOrAny> of(Criterion picksOut, Corpus.View past) {
        return picksOut instanceof Group group
                        && group.how() != Group.Quantifier.NONE
                        && group.criteria().size() > 1
                ? Optional.of(of(group.criteria(), past))
                : Optional.empty();
    }

    private static AllOrAny of(List<Criterion> criteria, Corpus.View past) {
        List<BitSet> each = criteria.stream().map(past::holding).toList();
        Optional<Integer> all = Optional.empty();
        Optional<One> one = Optional.empty();
        for (int at = past.size() - 1; at >= 0 && (all.isEmpty() || one.isEmpty()); at--) {
            int place = at;
            List<BitSet> met = each.stream().filter(set -> set.get(place)).toList();
            if (all.isEmpty() && met.size() == each.size()) {
                all = Optional.of(at);
            } else if (one.isEmpty() && met.size() == 1) {
                one = Optional.of(new One(at, each.indexOf(met.get(0))));
            }
        }
        return new AllOrAny(all, one);
    }
}
