package app.jubek.core.suggest;

import app.jubek.core.criteria.Criterion;
import java.util.List;

/**
 * A set of criteria that takes what is wanted, with what it does to the window.
 *
 * @param missed wanted messages it does not take, by their place in the evidence
 * @param wrong unwanted messages that it takes all the same
 * @param elsewhere what else it takes, the newest first
 */
public record Suggestion(Criterion picksOut, List<Integer> missed, List<Integer> wrong, List<Integer> elsewhere) {
    public Suggestion {
        missed = List.copyOf(missed);
        wrong = List.copyOf(wrong);
        elsewhere = List.copyOf(elsewhere);
    }
}
