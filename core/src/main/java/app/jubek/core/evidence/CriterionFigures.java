package app.jubek.core.evidence;

import java.util.List;
import java.util.Optional;

/**
 * What one criterion of a rule does to the evidence.
 *
 * @param path where it stands: indexes from the outermost group inwards
 * @param reach messages it takes by itself
 * @param effect in an all-of group what it removes, in an any-of group what it adds, among the exceptions what it excludes
 * @param values one for each value of a test
 */
public record CriterionFigures(List<Integer> path, int matches, int effect, List<ValueFigures> values) {

    /**
     * @param coveredBy the index of a value that takes all that this one takes
     */
    public record ValueFigures(int matches, Optional<Integer> coveredBy) {}
}
