package app.jubek.formats.sieve;

import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.MessagePart;
import app.jubek.core.criteria.NumberCriterion;
import app.jubek.core.criteria.OrderCriterion;
import app.jubek.core.criteria.Relation;
import app.jubek.core.criteria.TextCriterion;
import app.jubek.core.matching.Comparison;
import app.jubek.core.matching.MatchType;
import app.jubek.core.matching.Value;
import app.jubek.formats.sieve.syntax.Arguments;
import app.jubek.formats.sieve.syntax.Script;
import app.jubek.formats.sieve.syntax.SieveSyntaxException;
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
    private static final Map<String, MatchType> HOWS = Map.of(
            "is",
            MatchType.IS,
            "contains",
            MatchType.CONTAINS,
            "matches",
            MatchType.WILDCARD,
            "regex",
            MatchType.PATTERN);

    private final Arguments arguments;

    Comparing(Arguments arguments) {
        this.arguments = arguments;
    }

    /** The criterion that any of the parts compares with any of the keys. */
    Criterion anyOf(List<MessagePart> parts, List<String> keys) {
        if (arguments.has("count")) {
            return Conditions.any(keys.stream().map(key -> count(parts, key)).toList());
        }
        return Conditions.any(parts.stream().map(part -> one(part, keys)).toList());
    }

    private Criterion one(MessagePart part, List<String> keys) {
        String comparator = arguments.string("comparator").orElse("i;ascii-casemap");
        if (arguments.has("value")) {
            return new OrderCriterion(part, relation("value"), order(comparator), keys, false);
        }
        MatchType how = HOWS.entrySet().stream()
                .filter(e -> arguments.has(e.getKey()))
                .map(Map.Entry::getValue)
                .findFirst()
                .orElse(MatchType.IS);
        if (comparator.equals("i;ascii-numeric")) {
            if (how != MatchType.IS) {
                throw new Unsupported("i;ascii-numeric compares whole numbers only");
            }
            return new OrderCriterion(part, Relation.EQUAL, OrderCriterion.Order.NUMERIC, keys, false);
        }
        Comparison comparison = comparison(comparator);
        return new TextCriterion(
                part, keys.stream().map(key -> Value.of(how, comparison, key)).toList(), false);
    }

    private Criterion count(List<MessagePart> parts, String key) {
        try {
            return new NumberCriterion(
                    NumberCriterion.Measure.COUNT, parts, relation("count"), Long.parseLong(key.strip()), false);
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

    private static OrderCriterion.Order order(String comparator) {
        return switch (comparator) {
            case "i;ascii-numeric" -> OrderCriterion.Order.NUMERIC;
            case "i;octet" -> OrderCriterion.Order.EXACT;
            case "i;ascii-casemap" -> OrderCriterion.Order.ASCII_CASE;
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
