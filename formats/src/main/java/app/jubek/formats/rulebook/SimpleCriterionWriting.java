package app.jubek.formats.rulebook;

import app.jubek.core.criteria.AddressCriterion;
import app.jubek.core.criteria.MessagePart;
import app.jubek.core.criteria.NumberCriterion;
import app.jubek.core.criteria.OrderCriterion;
import app.jubek.core.criteria.PresenceCriterion;
import app.jubek.core.criteria.SimpleCriterion;
import app.jubek.core.criteria.TextCriterion;
import app.jubek.core.criteria.Trait;
import app.jubek.core.criteria.TraitCriterion;
import app.jubek.core.matching.Comparison;
import app.jubek.core.matching.MatchType;
import java.util.List;
import java.util.stream.Collectors;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** One simple criterion to JSON. */
final class SimpleCriterionWriting {
    private SimpleCriterionWriting() {}

    static ObjectNode write(SimpleCriterion test) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        if (test instanceof AddressCriterion address) {
            node.put("part", Names.ADDRESS_PARTS.of(address.part())).put("how", Names.ADDRESS_HOWS.of(address.how()));
            values(node, address.values());
        } else if (test instanceof TextCriterion words) {
            text(node, words);
        } else if (test instanceof PresenceCriterion present) {
            part(node, present.part()).put("how", "is present");
        } else if (test instanceof NumberCriterion number) {
            number(node, number);
        } else if (test instanceof OrderCriterion order) {
            part(node, order.part()).put("how", Names.RELATIONS.of(order.relation()));
            node.put("order", Names.ORDERS.of(order.order()));
            values(node, order.values());
        } else if (test instanceof TraitCriterion traits) {
            traits(node, traits);
        }
        if (test.negated()) {
            node.put("not", true);
        }
        return node;
    }

    private static void text(ObjectNode node, TextCriterion test) {
        MatchType how = test.how();
        boolean bare = test.part().kind() == MessagePart.Kind.BARE_SUBJECT;
        boolean atAnEnd = how == MatchType.IS || how == MatchType.BEGINS || how == MatchType.ENDS;
        part(node, bare && atAnEnd ? MessagePart.of(MessagePart.Kind.SUBJECT) : test.part());
        node.put("how", Names.HOWS.of(how));
        if (test.comparison() != Comparison.FOLDED) {
            node.put("compare", Names.COMPARISONS.of(test.comparison()));
        }
        if (atAnEnd && test.part().kind() == MessagePart.Kind.SUBJECT) {
            node.put("withPrefixes", true);
        }
        values(node, test.written());
    }

    private static void number(ObjectNode node, NumberCriterion test) {
        node.put("part", Names.MEASURES.of(test.measure()));
        test.of().forEach(of -> node.withArray("of").add(part(JsonNodeFactory.instance.objectNode(), of)));
        node.put("how", Names.RELATIONS.of(test.relation()));
        node.set("value", whole(test.value()));
    }

    /** As a reader of JSON makes it of the same digits, so that what is written equals what was read. */
    private static JsonNode whole(long value) {
        boolean small = value <= Integer.MAX_VALUE;
        return small ? JsonNodeFactory.instance.numberNode((int) value) : JsonNodeFactory.instance.numberNode(value);
    }

    private static void traits(ObjectNode node, TraitCriterion test) {
        Trait first = test.traits().get(0);
        String part =
                first instanceof Trait.Sent ? "sent by" : first instanceof Trait.InGroup ? "group" : "relationship";
        node.put("part", part).put("how", "is");
        values(node, test.traits().stream().map(SimpleCriterionWriting::name).collect(Collectors.toList()));
    }

    private static String name(Trait trait) {
        if (trait instanceof Trait.Sent sent) {
            return Names.SENDERS.of(sent.by());
        }
        return trait instanceof Trait.InGroup in ? in.group() : Names.RELATIONSHIPS.of((Trait.Relationship) trait);
    }

    private static ObjectNode part(ObjectNode node, MessagePart part) {
        node.put("part", Names.PARTS.of(part.kind()));
        if (!part.field().isEmpty()) {
            node.put("field", part.field());
        }
        if (part.piece() != MessagePart.Piece.ALL) {
            node.put("piece", Names.PIECES.of(part.piece()));
        }
        return node;
    }

    private static void values(ObjectNode node, List<String> values) {
        values.forEach(value -> node.withArray("values").add(value));
    }
}
