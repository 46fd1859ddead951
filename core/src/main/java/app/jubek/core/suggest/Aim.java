package app.jubek.core.suggest;

import java.util.BitSet;

/**
 * What criteria are wanted for.
 *
 * @param wanted messages that belong
 * @param unwanted messages that do not
 * @param whole whether the wanted are all that belong and the unwanted all others, or examples of both
 */
record Aim(BitSet wanted, BitSet unwanted, boolean whole) {
    private static final double MISSED = 8;
    private static final double WRONG = 6;
    private static final double WRONG_OF_WHOLE = 12;

    static Aim examples(Iterable<Integer> wanted, Iterable<Integer> unwanted) {
        return new Aim(Sets.of(wanted), Sets.of(unwanted), false);
    }

    /** All of some messages, and nothing else of a window. */
    static Aim whole(Iterable<Integer> wanted, int window) {
        BitSet all = Sets.of(wanted);
        BitSet others = (BitSet) all.clone();
        others.flip(0, window);
        return new Aim(all, others, true);
    }

    /** The same for some messages and against others. */
    Aim with(BitSet otherWanted, BitSet otherUnwanted) {
        return new Aim(otherWanted, otherUnwanted, whole);
    }

    /** Whether a value brings more than it spoils. */
    boolean isWorthwhile(Candidate value, BitSet left) {
        int brings = value.among(left);
        return brings > 0 && (!whole || brings > value.among(unwanted));
    }

    /** What a value costs: what it takes wrongly. */
    double cost(Candidate value) {
        int wrong = value.among(unwanted);
        return whole ? WRONG_OF_WHOLE * wrong / Math.max(1, wanted.cardinality()) : 3.0 * wrong;
    }

    /** What is wrong with some criteria, by the messages that they hit: 0 when nothing is. */
    double fault(BitSet hits) {
        int missed = wanted.cardinality() - Sets.both(wanted, hits).cardinality();
        int wrong = Sets.both(unwanted, hits).cardinality();
        return MISSED * missed / wanted.cardinality()
                + (whole
                        ? WRONG_OF_WHOLE * wrong / Math.max(1, hits.cardinality())
                        : WRONG * wrong / Math.max(1, unwanted.cardinality()));
    }

    /** Whether criteria are worth showing beside better ones. */
    boolean isPresentable(BitSet hits) {
        return !whole || 2 * Sets.both(wanted, hits).cardinality() > hits.cardinality();
    }
}
