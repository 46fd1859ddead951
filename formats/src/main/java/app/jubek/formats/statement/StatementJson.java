package app.jubek.formats.statement;

import app.jubek.core.wording.Argument;
import app.jubek.core.wording.Statement;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.stream.StreamSupport;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.LongNode;
import tools.jackson.databind.node.ObjectNode;
import tools.jackson.databind.node.StringNode;

/**
 * Statements as objects with "code" and "arguments". An argument is a text, a whole number, another statement, or an object
 * with one member: "day", a date as in ISO 8601, or "and", "or" or "comma", the list of what is joined.
 */
public final class StatementJson {
    private static final JsonMapper MAPPER = JsonMapper.builder().build();

    private StatementJson() {}

    public static ObjectNode write(Statement statement) {
        ObjectNode node = JsonNodeFactory.instance.objectNode().put("code", statement.code());
        if (!statement.arguments().isEmpty()) {
            node.set("arguments", write(statement.arguments()));
        }
        return node;
    }

    /** The list of arguments alone. */
    public static ArrayNode write(List<? extends Argument> arguments) {
        ArrayNode node = JsonNodeFactory.instance.arrayNode();
        arguments.forEach(argument -> node.add(node(argument)));
        return node;
    }

    private static JsonNode node(Argument argument) {
        if (argument instanceof Argument.Text text) {
            return StringNode.valueOf(text.text());
        }
        if (argument instanceof Argument.Amount amount) {
            return LongNode.valueOf(amount.number());
        }
        if (argument instanceof Argument.Day day) {
            return JsonNodeFactory.instance.objectNode().put("day", day.date().toString());
        }
        if (argument instanceof Argument.Several several) {
            String join = several.join().name().toLowerCase(Locale.ROOT);
            return JsonNodeFactory.instance.objectNode().set(join, write(several.items()));
        }
        return write((Statement) argument);
    }

    /**
     * @throws IllegalArgumentException when it is no statement
     */
    public static Statement read(JsonNode node) {
        if (!node.path("code").isString()) {
            throw new IllegalArgumentException("no statement: " + node);
        }
        return new Statement(node.get("code").stringValue(), arguments(node.path("arguments")));
    }

    public static Statement read(String json) {
        return read(MAPPER.readTree(json));
    }

    /** A list of statements. */
    public static List<Statement> readStatements(String json) {
        return StreamSupport.stream(MAPPER.readTree(json).spliterator(), false)
                .map(StatementJson::read)
                .toList();
    }

    /** The list of arguments alone. */
    public static List<Argument> readArguments(String json) {
        return arguments(MAPPER.readTree(json));
    }

    private static List<Argument> arguments(JsonNode list) {
        return StreamSupport.stream(list.spliterator(), false)
                .map(StatementJson::argument)
                .toList();
    }

    private static Argument argument(JsonNode node) {
        if (node.isString()) {
            return new Argument.Text(node.stringValue());
        }
        if (node.isIntegralNumber()) {
            return new Argument.Amount(node.longValue());
        }
        if (node.path("day").isString()) {
            return new Argument.Day(LocalDate.parse(node.get("day").stringValue()));
        }
        for (Argument.Join join : Argument.Join.values()) {
            JsonNode items = node.path(join.name().toLowerCase(Locale.ROOT));
            if (items.isArray()) {
                return new Argument.Several(join, arguments(items));
            }
        }
        return read(node);
    }
}
