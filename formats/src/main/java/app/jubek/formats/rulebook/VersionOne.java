package app.jubek.formats.rulebook;

import java.util.Map;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;
import tools.jackson.databind.node.StringNode;

/** Format version 1, which had other words for a few values and is read still. Its words mean nothing in later versions. */
final class VersionOne {
    private static final Map<String, Map<String, String>> RENAMED = Map.of(
            "ending", Map.of("goes on", "continue", "ends here", "stop here"),
            "do", Map.of("look by", "remind", "tell", "notify"),
            "answersGo", Map.of("to writer", "to sender"),
            "part",
                    Map.of(
                            "standing",
                            "relationship",
                            "what the writer added",
                            "what the sender added",
                            "subject or what the writer added",
                            "subject or what the sender added"));

    private VersionOne() {}

    /** The same in today's words. */
    static JsonNode upgraded(JsonNode node) {
        if (node.isArray()) {
            return upgradedItems((ArrayNode) node);
        }
        if (!node.isObject()) {
            return node;
        }
        ObjectNode today = ((ObjectNode) node).objectNode();
        node.properties().forEach(member -> today.set(member.getKey(), upgraded(member.getKey(), member.getValue())));
        return today;
    }

    private static JsonNode upgradedItems(ArrayNode items) {
        ArrayNode today = items.arrayNode();
        items.forEach(item -> today.add(upgraded(item)));
        return today;
    }

    private static JsonNode upgraded(String member, JsonNode value) {
        Map<String, String> renamed = RENAMED.getOrDefault(member, Map.of());
        return value.isString() && renamed.containsKey(value.stringValue())
                ? StringNode.valueOf(renamed.get(value.stringValue()))
                : upgraded(value);
    }
}
