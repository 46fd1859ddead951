package app.jubek.core.suggest;

import java.util.BitSet;

/** Sets of messages, by their place in the window. */
final class Sets {
    private Sets() {}

    static BitSet of(Iterable<Integer> places) {
        BitSet set = new BitSet();
        places.forEach(set::set);
        return set;
    }

    static BitSet both(BitSet one, BitSet other) {
        BitSet both = (BitSet) one.clone();
        both.and(other);
        return both;
    }

    static BitSet without(BitSet some, BitSet others) {
        BitSet rest = (BitSet) some.clone();
        rest.andNot(others);
        return rest;
    }
}
