package app.jubek.core.drift;

import java.util.BitSet;

/**
 * What a rule picks of mail that belongs together, before and after a change.
 *
 * @param before messages of it before the late ones
 * @param pickedBefore those of them that the rule picks
 * @param since messages from the first one on that it does not pick, among the late ones
 * @param strays those of these that it does not pick
 */
record Tail(int before, int pickedBefore, int since, BitSet strays) {
    private static final double NEARLY_ALL = 0.8;
    private static final double ALL_BUT_FEW = 0.95;
    private static final double MOST = 0.6;
    private static final int LEAST = 3;

    static Tail of(BitSet family, BitSet picked, int late) {
        BitSet before = family.get(0, late);
        BitSet strays = (BitSet) family.clone();
        strays.clear(0, late);
        strays.andNot(picked);
        int first = strays.nextSetBit(0);
        int since = first < 0 ? 0 : family.get(first, family.length()).cardinality();
        int known = before.cardinality();
        before.and(picked);
        return new Tail(known, before.cardinality(), since, strays);
    }

    /**
     * The messages that the rule lost: it picked nearly all of this mail, and then most of it no longer; or it picked all but
     * few of it, and some come from senders who are new.
     *
     * @param newcomers messages of senders who did not write before
     */
    BitSet lost(int knownBy, BitSet newcomers) {
        boolean known = pickedBefore >= knownBy;
        if (known && pickedBefore >= NEARLY_ALL * before && strays.cardinality() >= MOST * since) {
            return enough(strays);
        }
        BitSet fresh = (BitSet) strays.clone();
        fresh.and(newcomers);
        return known && pickedBefore >= ALL_BUT_FEW * before ? enough(fresh) : new BitSet();
    }

    private static BitSet enough(BitSet some) {
        return some.cardinality() >= LEAST ? some : new BitSet();
    }
}
