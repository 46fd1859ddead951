package app.jubek.core.suggest;

import app.jubek.core.criteria.SimpleCriterion;
import app.jubek.core.text.WhiteSpace;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.ToDoubleFunction;

/**
 * A criterion in the making: values in one part, any of which will do.
 *
 * @param lone values that stand for a single wanted message, and so for nothing that messages share
 */
record Clause(Where where, List<String> values, BitSet hits, int lone) {
    private static final int MOST_VALUES = 6;

    Clause {
        values = List.copyOf(values);
    }

    SimpleCriterion test() {
        return where.test(values);
    }

    double effort() {
        return where.effort() + 0.35 * (values.size() - 1) + 0.8 * lone;
    }

    /**
     * Few values of one part that together hit all wanted messages, as far as there are any; each time the value that
     * brings most for what it costs.
     */
    static Optional<Clause> covering(Aim aim, List<Candidate> of, ToDoubleFunction<Candidate> cost) {
        BitSet wanted = aim.wanted();
        List<String> values = new ArrayList<>();
        int lone = 0;
        BitSet hits = new BitSet();
        BitSet left = (BitSet) wanted.clone();
        while (!left.isEmpty() && values.size() < MOST_VALUES) {
            Optional<Candidate> best = of.stream()
                    .filter(c -> aim.isWorthwhile(c, left))
                    .max(Comparator.comparingDouble((Candidate c) -> c.among(left) / cost.applyAsDouble(c))
                            .thenComparing(c -> words(c, aim)));
            if (best.isEmpty()) {
                break;
            }
            values.add(best.get().value());
            lone += wanted.cardinality() > 1 && best.get().among(wanted) == 1 ? 1 : 0;
            hits.or(best.get().hits());
            left.andNot(best.get().hits());
        }
        boolean most = 2 * left.cardinality() < wanted.cardinality();
        return values.isEmpty() || !most
                ? Optional.empty()
                : Optional.of(withoutCovered(new Clause(of.get(0).where(), values, hits, lone)));
    }

    /** Two or three words say more than one; a fourth says little, unless all that it is to take is known. */
    private static int words(Candidate candidate, Aim aim) {
        return Math.min(aim.whole() ? 8 : 3, WhiteSpace.words(candidate.value()).size());
    }

    /** Whether a single word of a text is among its values, which many other messages may come to have. */
    boolean hasBroadWord() {
        return where.isText()
                && values.stream().anyMatch(value -> WhiteSpace.words(value).size() == 1);
    }

    private static Clause withoutCovered(Clause clause) {
        List<Optional<Integer>> covered = clause.test().covered();
        List<String> kept = new ArrayList<>();
        for (int i = 0; i < clause.values().size(); i++) {
            if (covered.get(i).isEmpty()) {
                kept.add(clause.values().get(i));
            }
        }
        return new Clause(clause.where(), kept, clause.hits(), clause.lone());
    }
}
