package app.jubek.formats.rulebook;

import app.jubek.core.address.MailAddress;
import app.jubek.core.step.Flag;
import app.jubek.core.step.FollowUp;
import app.jubek.core.step.Sound;
import app.jubek.core.step.Step;
import app.jubek.core.step.TargetFolder;
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
            case "file" -> into(at).map(Step.File::new);
            case "copy" -> into(at).map(Step.Copy::new);
            case "mark" -> {
                at.only(Set.of("do", "flags", "tags", "remove"));
                yield at.attempt(() -> new Step.Mark(
                        Stream.concat(marks(at, "flags").stream(), marks(at, "tags").stream())
                                .toList(),
                        marks(at, "remove")));
            }
            case "remind" -> {
                at.only(Set.of("do", "days"));
                yield at.attempt(() -> new Step.Remind(at.number("days", 0)));
            }
            case "follow up" -> {
                at.only(Set.of("do", "workingDays"));
                yield at.attempt(() -> new FollowUp(at.number("workingDays", 0)));
            }
            case "notify" -> {
                at.only(Set.of("do", "sound"));
                yield at.choice("sound", Sound.values(), Sound.NONE).map(Step.Notify::new);
            }
            case "trash", "delete", "keep", "archive", "out of junk" -> {
                at.only(Set.of("do"));
                yield Optional.of(
                        Step.Plain.valueOf(what.toUpperCase(Locale.ROOT).replace(' ', '_')));
            }
            default -> {
                at.check(what.isEmpty(), "do", "\"" + what + "\" is not known");
                yield Optional.empty();
            }
        };
    }

    private static Optional<TargetFolder> into(Reading at) {
        at.only(Set.of("do", "folder", "perSender", "perValue", "mailbox"));
        boolean perSender = at.flag("perSender");
        boolean perValue = at.flag("perValue");
        at.check(
                !perSender || !perValue,
                "perValue",
                "a folder for each sender and for each value can't be had at once");
        Optional<TargetFolder.Each> each = perSender
                ? Optional.of(TargetFolder.Each.SENDER)
                : Optional.of(TargetFolder.Each.VALUE).filter(value -> perValue);
        return at.attempt(() -> new TargetFolder(
                at.text("folder"),
                each,
                at.has("mailbox") ? Optional.of(MailAddress.of(at.text("mailbox"))) : Optional.empty()));
    }

    private static List<String> marks(Reading at, String member) {
        return at.has(member) ? at.texts(member, mark -> mark) : List.of();
    }

    static ObjectNode write(Step step) {
        if (step.kind().leaves()) {
            return SendingJson.write(step);
        }
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.put("do", step instanceof Step.Remind ? "remind" : Reading.word(step.kind()));
        if (step instanceof Step.File file) {
            write(node, file.target());
        } else if (step instanceof Step.Copy copy) {
            write(node, copy.target());
        } else if (step instanceof Step.Remind look) {
            node.put("days", look.days());
        } else if (step instanceof FollowUp late) {
            node.put("workingDays", late.workingDays());
        } else if (step instanceof Step.Notify tell) {
            node.put("sound", Reading.word(tell.sound()));
        } else if (step instanceof Step.Mark mark) {
            write(node, mark);
        }
        return node;
    }

    private static void write(ObjectNode node, TargetFolder into) {
        node.put("folder", into.folder());
        into.each().ifPresent(each -> node.put(each == TargetFolder.Each.SENDER ? "perSender" : "perValue", true));
        into.mailbox().ifPresent(other -> node.put("mailbox", other.address()));
    }

    private static void write(ObjectNode node, Step.Mark mark) {
        ArrayNode flags = node.putArray("flags");
        for (String added : mark.add()) {
            (Flag.isSystem(added) ? flags : node.withArray("tags")).add(added);
        }
        mark.remove().forEach(removed -> node.withArray("remove").add(removed));
    }
}
