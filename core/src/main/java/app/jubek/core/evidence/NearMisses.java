package app.jubek.core.evidence;

import app.jubek.core.corpus.Corpus;
import app.jubek.core.criteria.Criterion;
import app.jubek.core.explain.NearMiss;
import java.util.BitSet;
import java.util.Comparator;
import java.util.HashMap;
import java.util.Map;

/**
 * Where the messages are that meet all criteria but one, or all words of a phrase but one: the nearest. One word off is
 * nearest; then the fewer messages meet the other criteria, the more it says that a message does.
 */
public final class NearMisses {
    /** More than that nobody looks through. */
    static final int MOST = 20;

    private static final int ONE_WORD = 0;

    private NearMisses() {}

    private record Near(int at, int others) {}

    /**
     * @param holding where those are that meet it
     */
    public static BitSet of(Criterion criterion, Corpus.View past, BitSet holding) {
        Map<Integer, Integer> others = new HashMap<>();
        for (Criterion narrowed : NearMiss.narrowed(criterion)) {
            BitSet allBut = past.holding(narrowed);
            allBut.andNot(holding);
            int size = allBut.cardinality();
            allBut.stream().forEach(at -> others.merge(at, size, Math::min));
        }
        for (int at = holding.nextClearBit(0); at < past.size(); at = holding.nextClearBit(at + 1)) {
            if (NearMiss.byOneWord(criterion, past.message(at).seen()).isPresent()) {
                others.put(at, ONE_WORD);
            }
        }
        BitSet nearest = new BitSet();
        others.entrySet().stream()
                .map(e -> new Near(e.getKey(), e.getValue()))
                .sorted(Comparator.comparing(Near::others)
                        .thenComparing(Comparator.comparing(Near::at).reversed()))
                .limit(MOST)
                .forEach(near -> nearest.set(near.at()));
        return nearest;
    }
}
