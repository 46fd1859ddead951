package app.jubek.formats.rulebook;

import app.jubek.core.step.Flag;
import app.jubek.core.step.Step;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Steps as JSON. */
final class StepJson {
    private StepJson() {}

    static Optional<Step> read(Reading at) {
        String what = at.text("do");
        return switch (what) {
            case "forward" -> SendingJson.forward(at);
            case "redirect" -> SendingJson.redirect(at);
            case "reply" -> SendingJson.reply(at);
            case "file" -> {
                at.only(Set.of("do", "folder", "perSender"));
                yield at.attempt(() -> new Step.File(at.text("folder"), at.flag("perSender")));
            }
            case "copy" -> {
                at.only(Set.of("do", "folder"));
                yield at.attempt(() -> new Step.Copy(at.text("folder")));
            }
            case "mark" -> {
                at.only(Set.of("do", "flags", "tags", "remove"));
                yield at.attempt(() -> new Step.Mark(
                        Stream.concat(marks(at, "flags").stream(), marks(at, "tags").stream())
                                .toList(),
                        marks(at, "remove")));
            }
            case "look by" -> {
                at.only(Set.of("do", "days"));
                yield at.attempt(() -> new Step.LookBy(at.number("days", 0)));
            }
            case "tell" -> {
                at.only(Set.of("do", "sound"));
                yield at.choice("sound", Step.Sound.values(), Step.Sound.NONE).map(Step.Tell::new);
            }
            case "trash", "delete", "keep", "archive" -> {
                at.only(Set.of("do"));
                yield Optional.of(Step.Plain.valueOf(what.toUpperCase(Locale.ROOT)));
            }
            default -> {
                at.check(what.isEmpty(), "do", "\"" + what + "\" is not known");
                yield Optional.empty();
            }
        };
    }

    private static List<String> marks(Reading at, String member) {
        return at.has(member) ? at.texts(member, mark -> mark) : List.of();
    }

    static ObjectNode write(Step step) {
        if (step.kind().leaves()) {
            return SendingJson.write(step);
        }
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.put("do", step instanceof Step.LookBy ? "look by" : Reading.word(step.kind()));
        if (step instanceof Step.File file) {
            node.put("folder", file.folder());
            if (file.perSender()) {
                node.put("perSender", true);
            }
        } else if (step instanceof Step.LookBy look) {
            node.put("days", look.days());
        } else if (step instanceof Step.Tell tell) {
            node.put("sound", Reading.word(tell.sound()));
        } else if (step instanceof Step.Copy copy) {
            node.put("folder", copy.folder());
        } else if (step instanceof Step.Mark mark) {
            write(node, mark);
        }
        return node;
    }

    private static void write(ObjectNode node, Step.Mark mark) {
        ArrayNode flags = node.putArray("flags");
        for (String added : mark.add()) {
            (Flag.isSystem(added) ? flags : node.withArray("tags")).add(added);
        }
        mark.remove().forEach(removed -> node.withArray("remove").add(removed));
    }
}
