package app.jubek.core.suggest;

import app.jubek.core.criteria.TermMatcher;
import java.util.BitSet;
import java.util.List;

/**
 * One value in one part, with the messages of the window that it hits.
 *
 * @param value as a person would write it
 */
record Candidate(Where where, String value, BitSet hits) {
    TermMatcher term() {
        return where.test(List.of(value)).terms().get(0);
    }

    int matches() {
        return hits.cardinality();
    }

    int among(BitSet messages) {
        return Sets.both(messages, hits).cardinality();
    }
}
