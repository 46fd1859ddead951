package app.jubek.server;

import java.util.List;
import java.util.UUID;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Values that the API's description allows. */
final class Samples {
    private static final JsonNodeFactory NODES = JsonNodeFactory.instance;

    private final JsonNode description;

    Samples(JsonNode description) {
        this.description = description;
    }

    /** The JSON body that an operation asks for; null where it asks for none. */
    JsonNode body(JsonNode operation) {
        JsonNode schema = operation.at("/requestBody/content/application~1json/schema");
        return schema.isMissingNode() ? NODES.nullNode() : of(schema);
    }

    private JsonNode resolved(JsonNode schema) {
        JsonNode found = schema;
        while (found.has("$ref")) {
            String name = found.get("$ref").asString();
            found = description.get("components").get("schemas").get(name.substring(name.lastIndexOf('/') + 1));
        }
        return found;
    }

    /** Something that a schema allows, as far as it says. */
    JsonNode of(JsonNode schema) {
        return sample(schema, 0);
    }

    private JsonNode sample(JsonNode asked, int depth) {
        JsonNode schema = resolved(asked);
        for (String choice : List.of("oneOf", "anyOf", "allOf")) {
            if (schema.has(choice) && depth < 8) {
                return sample(schema.get(choice).get(0), depth + 1);
            }
        }
        if (schema.has("const")) {
            return schema.get("const");
        }
        if (schema.has("enum")) {
            return schema.get("enum").get(0);
        }
        return switch (schema.path("type").asString("object")) {
            case "string" -> NODES.stringNode(text(schema.path("format").asString("")));
            case "integer", "number" -> NODES.numberNode(1);
            case "boolean" -> NODES.booleanNode(true);
            case "array" -> {
                ArrayNode array = NODES.arrayNode();
                yield depth < 6 ? array.add(sample(schema.path("items"), depth + 1)) : array;
            }
            default -> object(schema, depth);
        };
    }

    private static String text(String format) {
        return switch (format) {
            case "uuid" -> UUID.nameUUIDFromBytes(new byte[] {1}).toString();
            case "date" -> "2026-11-28";
            case "date-time" -> "2026-11-28T10:00:00Z";
            default -> "seeds";
        };
    }

    private JsonNode object(JsonNode schema, int depth) {
        ObjectNode object = NODES.objectNode();
        JsonNode properties = schema.path("properties");
        for (String name : properties.propertyNames()) {
            if (depth < 8) {
                object.set(name, sample(properties.get(name), depth + 1));
            }
        }
        return object;
    }
}
