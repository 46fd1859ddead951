package app.jubek.core.rehearse;

import app.jubek.core.corpus.PastMessage;
import java.util.Set;

/**
 * How one past message stands to the rule in hand.
 *
 * @param at its place in the window
 */
public record Standing(int at, PastMessage message, Set<Counter> counters) {
    public Standing {
        counters = Set.copyOf(counters);
    }
}
