package app.jubek.formats.sieve;

import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.NumberTest;
import app.jubek.core.criteria.OrderTest;
import app.jubek.core.criteria.Part;
import app.jubek.core.criteria.Relation;
import app.jubek.core.criteria.TextTest;
import app.jubek.core.text.Comparison;
import app.jubek.core.text.How;
import app.jubek.core.text.Value;
import java.util.List;
import java.util.Map;

/** Match type and comparator of one test (RFC 5228 §2.7, RFC 5231 §4), applied to parts and keys. */
final class Comparing {
    static final Map<String, Relation> RELATIONS = Map.of(
            "gt", Relation.OVER,
            "ge", Relation.AT_LEAST,
            "lt", Relation.UNDER,
            "le", Relation.AT_MOST,
            "eq", Relation.EQUAL,
            "ne", Relation.OTHER_THAN);
    private static final Map<String, How> HOWS =
            Map.of("is", How.IS, "contains", How.CONTAINS, "matches", How.WILDCARD, "regex", How.PATTERN);

    private final Arguments arguments;

    Comparing(Arguments arguments) {
        this.arguments = arguments;
    }

    /** The criterion that any of the parts compares with any of the keys. */
    Criterion anyOf(List<Part> parts, List<String> keys) {
        if (arguments.has("count")) {
            return Conditions.any(keys.stream().map(key -> count(parts, key)).toList());
        }
        return Conditions.any(parts.stream().map(part -> one(part, keys)).toList());
    }

    private Criterion one(Part part, List<String> keys) {
        String comparator = arguments.string("comparator").orElse("i;ascii-casemap");
        if (arguments.has("value")) {
            return new OrderTest(part, relation("value"), order(comparator), keys, false);
        }
        How how = HOWS.entrySet().stream()
                .filter(e -> arguments.has(e.getKey()))
                .map(Map.Entry::getValue)
                .findFirst()
                .orElse(How.IS);
        if (comparator.equals("i;ascii-numeric")) {
            if (how != How.IS) {
                throw new Unsupported("i;ascii-numeric compares whole numbers only");
            }
            return new OrderTest(part, Relation.EQUAL, OrderTest.Order.NUMERIC, keys, false);
        }
        Comparison comparison = comparison(comparator);
        return new TextTest(
                part, keys.stream().map(key -> Value.of(how, comparison, key)).toList(), false);
    }

    private Criterion count(List<Part> parts, String key) {
        try {
            return new NumberTest(
                    NumberTest.Measure.COUNT, parts, relation("count"), Long.parseLong(key.strip()), false);
        } catch (NumberFormatException notOne) {
            throw new Unsupported("a count is compared with a number, not \"" + key + "\"");
        }
    }

    private Relation relation(String tag) {
        String name = arguments.string(tag).map(Script::lower).orElse("");
        Relation relation = RELATIONS.get(name);
        if (relation == null) {
            throw new SieveSyntaxException(arguments.place(), "\":" + tag + "\" wants one of gt, ge, lt, le, eq, ne");
        }
        return relation;
    }

    private static OrderTest.Order order(String comparator) {
        return switch (comparator) {
            case "i;ascii-numeric" -> OrderTest.Order.NUMERIC;
            case "i;octet" -> OrderTest.Order.EXACT;
            case "i;ascii-casemap" -> OrderTest.Order.ASCII_CASE;
            default -> throw new Unsupported("the comparator " + comparator + " is not known here");
        };
    }

    private static Comparison comparison(String comparator) {
        return switch (comparator) {
            case "i;octet" -> Comparison.EXACT;
            case "i;ascii-casemap" -> Comparison.ASCII_CASE;
            default -> throw new Unsupported("the comparator " + comparator + " is not known here");
        };
    }

    /** Something that this engine can't say. */
    static final class Unsupported extends RuntimeException {
        private static final long serialVersionUID = 1L;

        Unsupported(String what) {
            super(what);
        }
    }
}
