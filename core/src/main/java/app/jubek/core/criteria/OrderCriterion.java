package app.jubek.core.criteria;

import app.jubek.core.matching.Comparison;
import app.jubek.core.wording.Argument;
import app.jubek.core.wording.Phrase;
import app.jubek.core.wording.Statement;
import java.math.BigInteger;
import java.util.List;

/** A test of how a text stands to others in an order (RFC 5231 §4.1, ":value"). */
public record OrderCriterion(MessagePart part, Relation relation, Order order, List<String> values, boolean negated)
        implements SimpleCriterion {

    /** In what order. */
    public enum Order {
        ASCII_CASE,
        EXACT,
        /** What does not begin with a digit is the largest of all (RFC 4790 §9.1). */
        NUMERIC
    }

    public OrderCriterion {
        values = List.copyOf(values);
        if (values.isEmpty()) {
            throw new IllegalArgumentException("a criterion needs at least one value");
        }
    }

    @Override
    public SimpleCriterion turned() {
        return new OrderCriterion(part, relation, order, values, !negated);
    }

    @Override
    public List<TermMatcher> terms() {
        return values.stream()
                .<TermMatcher>map(v -> new OrderMatcher(part, relation, order, v))
                .toList();
    }

    @Override
    public List<String> written() {
        return values;
    }

    @Override
    public Statement statement() {
        Argument quoted = Argument.or(values.stream().map(Phrase::quoted).toList());
        Argument value = order == Order.NUMERIC ? CriterionPhrase.AS_NUMBER.with(quoted) : quoted;
        Statement said = CriterionPhrase.COMPARED_WITH.with(part.statement(), relation, value);
        return (negated ? CriterionPhrase.WITHOUT : CriterionPhrase.WITH).with(said);
    }

    record OrderMatcher(MessagePart part, Relation relation, Order order, String value) implements TermMatcher {
        @Override
        public boolean hits(Searchable message) {
            Comparison comparison = order == Order.ASCII_CASE ? Comparison.ASCII_CASE : Comparison.EXACT;
            String own = comparison.apply(value);
            return part.atoms().stream()
                    .flatMap(atom -> message.texts(atom, comparison).stream())
                    .anyMatch(text -> relation.holds(compare(text, own)));
        }

        private int compare(String text, String own) {
            if (order != Order.NUMERIC) {
                return text.compareTo(own);
            }
            String a = digits(text);
            String b = digits(own);
            if (a.isEmpty() || b.isEmpty()) {
                return Boolean.compare(a.isEmpty(), b.isEmpty());
            }
            return new BigInteger(a).compareTo(new BigInteger(b));
        }

        private static String digits(String text) {
            int end = 0;
            while (end < text.length() && text.charAt(end) >= '0' && text.charAt(end) <= '9') {
                end++;
            }
            return text.substring(0, end);
        }
    }
}
