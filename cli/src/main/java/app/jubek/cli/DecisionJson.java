package app.jubek.cli;

import app.jubek.core.decide.Decision;
import app.jubek.core.decide.Outcome;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.plan.NotDone;
import app.jubek.core.plan.PlannedStep;
import app.jubek.core.step.Step;
import app.jubek.core.step.TargetFolder;
import app.jubek.core.wording.Wording;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** A decision as one JSON object. */
final class DecisionJson {
    private DecisionJson() {}

    static ObjectNode write(String id, ReadMessage message, Decision decision, boolean explained) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.put("message", id).put("inbox", decision.staysInInbox());
        ArrayNode steps = node.putArray("steps");
        together(decision.planned()).forEach(same -> steps.add(step(same, message)));
        ArrayNode held = node.putArray("held");
        ArrayNode withheld = node.putArray("withheld");
        for (NotDone not : decision.notDone()) {
            (not.waits() ? held : withheld)
                    .addObject()
                    .put("do", name(not.planned().step()))
                    .put("code", not.reason().id())
                    .put("because", Wording.english().of(not.statement()));
        }
        ArrayNode picked = node.putArray("picked");
        decision.trace().stream()
                .filter(Outcome::isPicked)
                .forEach(outcome -> picked.add(outcome.rule().name()));
        decision.endedBy().ifPresentOrElse(name -> node.put("endedBy", name), () -> node.putNull("endedBy"));
        if (explained) {
            ArrayNode trace = node.putArray("trace");
            decision.trace()
                    .forEach(outcome -> trace.addObject()
                            .put("rule", outcome.rule().name())
                            .put("code", outcome.statement().code())
                            .put("because", Wording.english().of(outcome.statement())));
        }
        return node;
    }

    private static String name(Step step) {
        return step.kind().name().toLowerCase(Locale.ROOT);
    }

    /** Steps that differ in their recipient only are one step of a rule. */
    private static List<List<PlannedStep>> together(List<PlannedStep> planned) {
        List<List<PlannedStep>> groups = new ArrayList<>();
        for (PlannedStep step : planned) {
            List<PlannedStep> last = groups.isEmpty() ? List.of() : groups.get(groups.size() - 1);
            boolean same = !last.isEmpty()
                    && step.step().kind().handsOn()
                    && last.get(0).rule().equals(step.rule())
                    && last.get(0).ordinal() == step.ordinal();
            if (same) {
                last.add(step);
            } else if (step.step() != Step.Plain.KEEP) {
                groups.add(new ArrayList<>(List.of(step)));
            }
        }
        return groups;
    }

    private static ObjectNode step(List<PlannedStep> same, ReadMessage message) {
        Step step = same.get(0).step();
        ObjectNode node = JsonNodeFactory.instance.objectNode().put("do", name(step));
        if (step instanceof Step.HandOn handOn) {
            ArrayNode to = node.putArray("to");
            same.forEach(one -> ((Step.HandOn) one.step()).to().forEach(address -> to.add(address.address())));
            node.put("leaves", handOn.leaves());
        } else if (step instanceof Step.Reply) {
            String own =
                    same.get(0).sending().map(out -> out.letter().subject()).orElse("");
            node.put("subject", Step.Reply.subject(own, message.subject()));
        } else if (step instanceof Step.File file) {
            into(node, file.target());
        } else if (step instanceof Step.Copy copy) {
            into(node, copy.target());
        } else if (step instanceof Step.Mark mark) {
            ArrayNode flags = node.putArray("flags");
            mark.add().forEach(flags::add);
            ArrayNode remove = node.putArray("remove");
            mark.remove().forEach(remove::add);
        }
        return node;
    }

    private static void into(ObjectNode node, TargetFolder into) {
        node.put("folder", into.folder());
        into.mailbox().ifPresent(other -> node.put("mailbox", other.address()));
    }
}
