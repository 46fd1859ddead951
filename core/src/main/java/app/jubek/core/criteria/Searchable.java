package app.jubek.core.criteria;

import app.jubek.core.matching.Comparison;
import java.util.List;
import java.util.OptionalLong;

/** A message as criteria look at it. */
public interface Searchable extends Hits {
    /** The texts of one part, as they are compared; empty where the part is absent. */
    List<String> texts(MessagePart atom, Comparison comparison);

    /** Addresses as they are compared. */
    List<String> addresses(AddressCriterion.AddressField part);

    boolean has(MessagePart atom);

    boolean has(Trait trait);

    /** How many there are of a part. */
    long count(MessagePart part);

    /** Empty where it can't be told. */
    OptionalLong measure(NumberCriterion.Measure measure);

    @Override
    default boolean any(SimpleCriterion test) {
        for (TermMatcher term : test.terms()) {
            if (term.hits(this)) {
                return true;
            }
        }
        return false;
    }
}
