package app.jubek.core.evidence;

import app.jubek.core.corpus.PastMessage;
import java.util.Set;

/**
 * How one past message stands to the edited rule.
 *
 * @param at its place in the evidence
 */
public record MessageResult(int at, PastMessage message, Set<Counter> counters) {
    public MessageResult {
        counters = Set.copyOf(counters);
    }
}
