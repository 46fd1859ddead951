package app.jubek.core.criteria;

import app.jubek.core.text.Words;
import java.util.List;
import java.util.OptionalLong;

/**
 * A test of a number.
 *
 * @param of what is counted together by {@link Measure#COUNT}; else empty
 * @param value octets, pieces or seconds, not negative
 */
public record NumberTest(Measure measure, List<Part> of, Relation relation, long value, boolean negated)
        implements Test {

    /** What is measured. */
    public enum Measure {
        SIZE("a size", "octets"),
        ATTACHMENTS("attachments", "pieces"),
        ATTACHMENT_SIZE("a largest attachment", "octets"),
        AGE("an age", "seconds"),
        COUNT("a number", "pieces");

        private final String words;
        private final String unit;

        Measure(String words, String unit) {
            this.words = words;
            this.unit = unit;
        }
    }

    public NumberTest {
        if (value < 0) {
            throw new IllegalArgumentException("a number to compare with is not below 0: " + value);
        }
        of = List.copyOf(of);
        if (of.isEmpty() == (measure == Measure.COUNT)) {
            throw new IllegalArgumentException("what is counted must be said for a count, and for a count only");
        }
    }

    @Override
    public Test turned() {
        return new NumberTest(measure, of, relation, value, !negated);
    }

    @Override
    public List<Probe> probes() {
        return List.of(new NumberProbe(measure, of, relation, value));
    }

    @Override
    public List<String> written() {
        return List.of(Long.toString(value));
    }

    @Override
    public String inWords() {
        String counted = Words.and(of.stream().map(Part::inWords).toList());
        String what = measure.words + (counted.isEmpty() ? "" : " of " + counted);
        return (negated ? "without " : "with ") + what + " of " + relation.words() + " " + value + " " + measure.unit;
    }

    record NumberProbe(Measure measure, List<Part> of, Relation relation, long value) implements Probe {
        @Override
        public boolean hits(Searchable message) {
            OptionalLong measured = of.isEmpty()
                    ? message.measure(measure)
                    : OptionalLong.of(of.stream().mapToLong(message::count).sum());
            return measured.isPresent() && relation.holds(Long.compare(measured.getAsLong(), value));
        }
    }
}
