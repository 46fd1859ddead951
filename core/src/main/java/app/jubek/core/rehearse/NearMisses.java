package app.jubek.core.rehearse;

import app.jubek.core.corpus.Corpus;
import app.jubek.core.criteria.Criterion;
import app.jubek.core.explain.NearMiss;
import java.util.BitSet;

/** Where the messages are that meet all criteria but one, or all words of a phrase but one. */
final class NearMisses {
    private NearMisses() {}

    /**
     * @param holding where those are that meet it
     */
    static BitSet of(Criterion criterion, Corpus.View past, BitSet holding) {
        BitSet near = new BitSet();
        for (Criterion narrowed : NearMiss.narrowed(criterion)) {
            BitSet allBut = past.holding(narrowed);
            allBut.andNot(holding);
            near.or(allBut);
        }
        for (int at = holding.nextClearBit(0); at < past.size(); at = holding.nextClearBit(at + 1)) {
            if (NearMiss.byOneWord(criterion, past.message(at).seen()).isPresent()) {
                near.set(at);
            }
        }
        return near;
    }
}
