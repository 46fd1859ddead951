package app.jubek.core.rehearse;

import app.jubek.core.corpus.PastMessage;
import app.jubek.core.rule.Rule;
import java.util.List;
import java.util.Set;

/**
 * How one past message stands to the rule in hand.
 *
 * @param takenBy the rules that pick it, in order: its whole fate
 */
public record Standing(PastMessage message, Set<Counter> counters, List<Rule> takenBy) {
    public Standing {
        counters = Set.copyOf(counters);
        takenBy = List.copyOf(takenBy);
    }
}
