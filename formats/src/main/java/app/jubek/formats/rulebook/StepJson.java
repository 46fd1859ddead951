package app.jubek.formats.rulebook;

import app.jubek.core.address.MailAddress;
import app.jubek.core.step.Step;
import java.time.Duration;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
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
                at.only(Set.of("do", "to", "note"));
                yield at.attempt(() -> new Step.Forward(addresses(at), at.text("note", "")));
            }
            case "redirect" -> {
                at.only(Set.of("do", "to"));
                yield at.attempt(() -> new Step.Redirect(addresses(at)));
            }
            case "reply" -> {
                at.only(Set.of("do", "subject", "text", "oncePerDays"));
                long days = at.number("oncePerDays", (int) Step.Reply.ONCE_PER.toDays());
                yield at.attempt(() -> new Step.Reply(at.text("subject", ""), at.text("text"), Duration.ofDays(days)));
            }
            case "file" -> {
                at.only(Set.of("do", "folder"));
                yield at.attempt(() -> new Step.File(at.text("folder")));
            }
            case "mark" -> {
                at.only(Set.of("do", "flags", "tags"));
                yield at.attempt(() -> new Step.Mark(
                        at.texts("flags", StepJson::flag), at.has("tags") ? at.texts("tags", tag -> tag) : List.of()));
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

    private static Step.Flag flag(String imap) {
        return Arrays.stream(Step.Flag.values())
                .filter(flag -> flag.imap().equalsIgnoreCase(imap))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("must be \\Seen or \\Flagged, not \"" + imap + "\""));
    }

    static ObjectNode write(Step step) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.put("do", step.kind().name().toLowerCase(java.util.Locale.ROOT));
        if (step instanceof Step.HandOn handOn) {
            handOn.to().forEach(to -> node.withArray("to").add(to.address()));
        }
        if (step instanceof Step.Forward forward && !forward.note().isEmpty()) {
            node.put("note", forward.note());
        } else if (step instanceof Step.Reply reply) {
            node.put("subject", reply.subject()).put("text", reply.text());
            node.put("oncePerDays", (int) reply.oncePer().toDays());
        } else if (step instanceof Step.File file) {
            node.put("folder", file.folder());
        } else if (step instanceof Step.Mark mark) {
            ArrayNode flags = node.putArray("flags");
            mark.flags().forEach(flag -> flags.add(flag.imap()));
            mark.tags().forEach(tag -> node.withArray("tags").add(tag));
        }
        return node;
    }
}
