package app.jubek.formats.rulebook;

import app.jubek.core.criteria.AddressTest;
import app.jubek.core.criteria.NumberTest;
import app.jubek.core.criteria.OrderTest;
import app.jubek.core.criteria.Part;
import app.jubek.core.criteria.PresentTest;
import app.jubek.core.criteria.Test;
import app.jubek.core.criteria.TextTest;
import app.jubek.core.criteria.Trait;
import app.jubek.core.criteria.TraitTest;
import app.jubek.core.text.Comparison;
import app.jubek.core.text.How;
import java.util.List;
import java.util.stream.Collectors;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** One test to JSON. */
final class TestWriting {
    private TestWriting() {}

    static ObjectNode write(Test test) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        if (test instanceof AddressTest address) {
            node.put("part", Names.ADDRESS_PARTS.of(address.part())).put("how", Names.ADDRESS_HOWS.of(address.how()));
            values(node, address.values());
        } else if (test instanceof TextTest words) {
            text(node, words);
        } else if (test instanceof PresentTest present) {
            part(node, present.part()).put("how", "is present");
        } else if (test instanceof NumberTest number) {
            number(node, number);
        } else if (test instanceof OrderTest order) {
            part(node, order.part()).put("how", Names.RELATIONS.of(order.relation()));
            node.put("order", Names.ORDERS.of(order.order()));
            values(node, order.values());
        } else if (test instanceof TraitTest traits) {
            traits(node, traits);
        }
        if (test.negated()) {
            node.put("not", true);
        }
        return node;
    }

    private static void text(ObjectNode node, TextTest test) {
        How how = test.how();
        boolean bare = test.part().kind() == Part.Kind.BARE_SUBJECT;
        boolean atAnEnd = how == How.IS || how == How.BEGINS || how == How.ENDS;
        part(node, bare && atAnEnd ? Part.of(Part.Kind.SUBJECT) : test.part());
        node.put("how", Names.HOWS.of(how));
        if (test.comparison() != Comparison.FOLDED) {
            node.put("compare", Names.COMPARISONS.of(test.comparison()));
        }
        if (atAnEnd && test.part().kind() == Part.Kind.SUBJECT) {
            node.put("withPrefixes", true);
        }
        values(node, test.written());
    }

    private static void number(ObjectNode node, NumberTest test) {
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

    private static void traits(ObjectNode node, TraitTest test) {
        Trait first = test.traits().get(0);
        String part = first instanceof Trait.Sent ? "sent by" : first instanceof Trait.InGroup ? "group" : "standing";
        node.put("part", part).put("how", "is");
        values(node, test.traits().stream().map(TestWriting::name).collect(Collectors.toList()));
    }

    private static String name(Trait trait) {
        if (trait instanceof Trait.Sent sent) {
            return Names.SENDERS.of(sent.by());
        }
        return trait instanceof Trait.InGroup in ? in.group() : Names.STANDINGS.of((Trait.Standing) trait);
    }

    private static ObjectNode part(ObjectNode node, Part part) {
        node.put("part", Names.PARTS.of(part.kind()));
        if (!part.field().isEmpty()) {
            node.put("field", part.field());
        }
        if (part.piece() != Part.Piece.ALL) {
            node.put("piece", Names.PIECES.of(part.piece()));
        }
        return node;
    }

    private static void values(ObjectNode node, List<String> values) {
        values.forEach(value -> node.withArray("values").add(value));
    }
}
