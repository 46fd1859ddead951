package app.jubek.core.criteria;

import app.jubek.core.wording.Argument;
import app.jubek.core.wording.Code;
import app.jubek.core.wording.Statement;
import java.util.List;
import java.util.OptionalLong;

/**
 * A test of a number.
 *
 * @param of what is counted together by {@link Measure#COUNT}; else empty
 * @param value bytes, pieces or seconds, not negative
 */
public record NumberCriterion(Measure measure, List<MessagePart> of, Relation relation, long value, boolean negated)
        implements SimpleCriterion {

    /** What is measured. */
    public enum Measure implements Code {
        SIZE,
        ATTACHMENTS,
        ATTACHMENT_SIZE,
        AGE,
        COUNT;

        @Override
        public String id() {
            return "MEASURE_" + name();
        }
    }

    public NumberCriterion {
        if (value < 0) {
            throw new IllegalArgumentException("a number to compare with is not below 0: " + value);
        }
        of = List.copyOf(of);
        if (of.isEmpty() == (measure == Measure.COUNT)) {
            throw new IllegalArgumentException("what is counted must be said for a count, and for a count only");
        }
    }

    @Override
    public SimpleCriterion turned() {
        return new NumberCriterion(measure, of, relation, value, !negated);
    }

    @Override
    public List<TermMatcher> terms() {
        return List.of(new NumberMatcher(measure, of, relation, value));
    }

    @Override
    public List<String> written() {
        return List.of(Long.toString(value));
    }

    @Override
    public Statement statement() {
        if (measure == Measure.ATTACHMENTS && asksWhetherAny()) {
            return (negated == takes(0) ? CriterionPhrase.WITH : CriterionPhrase.WITHOUT)
                    .with(CriterionPhrase.ANY_ATTACHMENT);
        }
        Statement what = of.isEmpty()
                ? measure.with(relation, value)
                : CriterionPhrase.COUNTED.with(
                        Argument.and(of.stream().map(MessagePart::statement).toList()), relation, value);
        return (negated ? CriterionPhrase.WITHOUT : CriterionPhrase.WITH).with(what);
    }

    /** Whether one is as good as many, and none is not. */
    private boolean asksWhetherAny() {
        return takes(0) != takes(1) && takes(1) == takes(Long.MAX_VALUE);
    }

    private boolean takes(long number) {
        return relation.holds(Long.compare(number, value));
    }

    record NumberMatcher(Measure measure, List<MessagePart> of, Relation relation, long value) implements TermMatcher {
        @Override
        public boolean hits(Searchable message) {
            OptionalLong measured = of.isEmpty()
                    ? message.measure(measure)
                    : OptionalLong.of(of.stream().mapToLong(message::count).sum());
            return measured.isPresent() && relation.holds(Long.compare(measured.getAsLong(), value));
        }
    }
}
