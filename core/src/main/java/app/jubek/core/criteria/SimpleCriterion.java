package app.jubek.core.criteria;

import java.util.List;
import java.util.Optional;

/** A part of the message, how it is compared, and a list of values of which any will do. */
public sealed interface SimpleCriterion extends Criterion
        permits AddressCriterion, TextCriterion, PresenceCriterion, NumberCriterion, OrderCriterion, TraitCriterion {
    boolean negated();

    /** The test that holds where this one does not. */
    SimpleCriterion turned();

    /** One for each value, in order. */
    List<TermMatcher> terms();

    /** The values as a person wrote them, in order. */
    List<String> written();

    /** Another value of this test that takes all that this one takes, so that this one adds nothing: of each value. */
    default List<Optional<Integer>> covered() {
        return written().stream().map(value -> Optional.<Integer>empty()).toList();
    }

    @Override
    default boolean holds(Hits hits) {
        return hits.any(this) != negated();
    }
}
