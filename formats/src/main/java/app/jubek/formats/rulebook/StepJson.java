package app.jubek.formats.rulebook;

import app.jubek.core.address.MailAddress;
import app.jubek.core.step.Flag;
import app.jubek.core.step.Step;
import app.jubek.core.template.TemplateId;
import java.time.Duration;
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
            case "forward" -> {
                at.only(Set.of("do", "to", "note", "leaves"));
                yield at.attempt(() -> new Step.Forward(addresses(at), at.text("note", ""), at.flag("leaves")));
            }
            case "redirect" -> {
                at.only(Set.of("do", "to", "leaves"));
                yield at.attempt(() -> new Step.Redirect(addresses(at), at.flag("leaves")));
            }
            case "reply" -> {
                at.only(Set.of("do", "subject", "text", "template", "oncePerDays"));
                Duration oncePer = Duration.ofDays(at.number("oncePerDays", (int) Step.Reply.ONCE_PER.toDays()));
                Optional<TemplateId> template =
                        at.has("template") ? at.attempt(() -> new TemplateId(at.text("template"))) : Optional.empty();
                String text = template.isPresent() ? at.text("text", "") : at.text("text");
                yield at.attempt(() -> new Step.Reply(template, at.text("subject", ""), text, oncePer));
            }
            case "file" -> {
                at.only(Set.of("do", "folder"));
                yield at.attempt(() -> new Step.File(at.text("folder")));
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
            case "trash", "delete", "keep", "tell" -> {
                at.only(Set.of("do"));
                yield Optional.of(Step.Plain.valueOf(what.toUpperCase(Locale.ROOT)));
            }
            default -> {
                at.check(what.isEmpty(), "do", "\"" + what + "\" is not known");
                yield Optional.empty();
            }
        };
    }

    private static List<MailAddress> addresses(Reading at) {
        return at.texts("to", MailAddress::of);
    }

    private static List<String> marks(Reading at, String member) {
        return at.has(member) ? at.texts(member, mark -> mark) : List.of();
    }

    static ObjectNode write(Step step) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.put("do", step.kind().name().toLowerCase(Locale.ROOT));
        if (step instanceof Step.HandOn handOn) {
            handOn.to().forEach(to -> node.withArray("to").add(to.address()));
            if (handOn.leaves()) {
                node.put("leaves", true);
            }
        }
        if (step instanceof Step.Forward forward && !forward.note().isEmpty()) {
            node.put("note", forward.note());
        } else if (step instanceof Step.Reply reply) {
            reply.template()
                    .ifPresentOrElse(
                            template -> node.put("template", template.value()),
                            () -> node.put("subject", reply.subject()).put("text", reply.text()));
            node.put("oncePerDays", (int) reply.oncePer().toDays());
        } else if (step instanceof Step.File file) {
            node.put("folder", file.folder());
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
