package app.jubek.server.intake;

import app.jubek.core.decide.Decision;
import app.jubek.core.decide.Outcome;
import app.jubek.core.wording.Statement;
import app.jubek.formats.statement.StatementJson;
import java.util.List;
import java.util.stream.StreamSupport;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * A decision as it is kept with its message.
 *
 * @param bookVersion of the rule book that decided
 */
public record StoredDecision(int bookVersion, boolean staysInInbox, List<RuleLine> rules) {
    private static final JsonMapper MAPPER = JsonMapper.builder().build();

    /** What one rule made of the message. */
    public record RuleLine(String rule, int version, String name, boolean picked, Statement outcome) {}

    static StoredDecision of(int bookVersion, Decision decision) {
        List<RuleLine> lines =
                decision.trace().stream().map(StoredDecision::line).toList();
        return new StoredDecision(bookVersion, decision.staysInInbox(), lines);
    }

    private static RuleLine line(Outcome outcome) {
        return new RuleLine(
                outcome.rule().id().value(),
                outcome.rule().version(),
                outcome.rule().name(),
                outcome.isPicked(),
                outcome.statement());
    }

    String json() {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.put("bookVersion", bookVersion).put("staysInInbox", staysInInbox);
        rules.forEach(line -> node.withArray("rules")
                .addObject()
                .put("rule", line.rule())
                .put("version", line.version())
                .put("name", line.name())
                .put("picked", line.picked())
                .set("outcome", StatementJson.write(line.outcome())));
        return node.toString();
    }

    static StoredDecision read(String json) {
        JsonNode node = MAPPER.readTree(json);
        List<RuleLine> lines = StreamSupport.stream(node.path("rules").spliterator(), false)
                .map(line -> new RuleLine(
                        line.get("rule").stringValue(),
                        line.get("version").intValue(),
                        line.get("name").stringValue(),
                        line.get("picked").booleanValue(),
                        StatementJson.read(line.get("outcome"))))
                .toList();
        return new StoredDecision(
                node.get("bookVersion").intValue(), node.get("staysInInbox").booleanValue(), lines);
    }
}
