package app.jubek.formats.rulebook;

import app.jubek.core.rule.Rule;
import app.jubek.core.schedule.Schedule;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** One rule to JSON. */
final class RuleWriting {
    private RuleWriting() {}

    static ObjectNode write(Rule rule) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.put("id", rule.id().value()).put("version", rule.version()).put("name", rule.name());
        node.set("picksOut", CriterionJson.write(rule.picksOut()));
        if (rule.hasExceptions()) {
            node.set("leavesOut", CriterionJson.write(rule.leavesOut()));
        }
        node.withArray("does");
        rule.steps().forEach(step -> node.withArray("does").add(StepJson.write(step)));
        node.put("ending", Reading.word(rule.ending()));
        if (!rule.schedule().equals(Schedule.ALWAYS)) {
            node.set("active", ScheduleJson.write(rule.schedule()));
        }
        return node.put("on", rule.on());
    }
}
