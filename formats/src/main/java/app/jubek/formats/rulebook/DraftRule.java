package app.jubek.formats.rulebook;

import app.jubek.core.rule.Rule;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * A rule as it is being made.
 *
 * @param rule without its unfinished steps
 * @param unfinished where each of those is and what it lacks first
 */
public record DraftRule(Rule rule, List<Fault> unfinished) {
    public DraftRule {
        unfinished = List.copyOf(unfinished);
    }

    static DraftRule read(JsonNode draft) {
        List<Fault> unfinished = new ArrayList<>();
        return new DraftRule(RuleBookJson.readRule(finished(draft, unfinished)), unfinished);
    }

    private static JsonNode finished(JsonNode draft, List<Fault> unfinished) {
        if (!(draft instanceof ObjectNode rule && rule.path("does") instanceof ArrayNode does)) {
            return draft;
        }
        ObjectNode finished = rule.deepCopy();
        ArrayNode kept = finished.putArray("does");
        for (int i = 0; i < does.size(); i++) {
            Optional<Fault> lacks = lacks(does.get(i), "/does/" + i);
            lacks.ifPresent(unfinished::add);
            if (lacks.isEmpty()) {
                kept.add(does.get(i));
            }
        }
        return finished;
    }

    private static Optional<Fault> lacks(JsonNode step, String path) {
        Reading at = Reading.of(step);
        StepJson.read(at);
        return at.firstFault().map(fault -> new Fault(path + fault.path(), fault.message()));
    }
}
