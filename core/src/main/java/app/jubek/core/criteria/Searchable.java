package app.jubek.core.criteria;

import app.jubek.core.text.Comparison;
import java.util.List;
import java.util.OptionalLong;

/** A message as criteria look at it. */
public interface Searchable extends Hits {
    /** The texts of one part, as they are compared; empty where the part is absent. */
    List<String> texts(Part atom, Comparison comparison);

    /** Addresses as they are compared. */
    List<String> addresses(AddressTest.Part part);

    boolean has(Part atom);

    boolean has(Trait trait);

    /** How many there are of a part. */
    long count(Part part);

    /** Empty where it can't be told. */
    OptionalLong measure(NumberTest.Measure measure);

    @Override
    default boolean any(Test test) {
        for (Probe probe : test.probes()) {
            if (probe.hits(this)) {
                return true;
            }
        }
        return false;
    }
}
