package app.jubek.formats.rulebook;

import app.jubek.core.address.MailAddress;
import app.jubek.core.step.AnswersTo;
import app.jubek.core.step.ForwardOptions;
import app.jubek.core.step.Release;
import app.jubek.core.step.ReplyFrequency;
import app.jubek.core.step.ReplyOptions;
import app.jubek.core.step.Step;
import app.jubek.core.template.TemplateId;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Steps that send something, as JSON. */
final class SendingJson {
    private static final Set<String> FORWARD = Set.of(
            "do",
            "to",
            "groups",
            "note",
            "noteTemplate",
            "prefix",
            "subject",
            "attached",
            "from",
            "answersGo",
            "leaves",
            "release",
            "of",
            "afterMinutes");
    private static final Set<String> REPLY = Set.of(
            "do",
            "subject",
            "text",
            "template",
            "oncePerDays",
            "timesADay",
            "key",
            "answersTo",
            "quotes",
            "copies",
            "aliases",
            "from",
            "inConversations",
            "keepsUnanswered",
            "release",
            "of",
            "afterMinutes",
            "instruction",
            "languages",
            "substitute",
            "substituteName");

    private SendingJson() {}

    static Optional<Step> forward(Reading at) {
        at.only(FORWARD);
        return at.attempt(() -> new Step.Forward(
                at.texts("to", MailAddress::of), texts(at, "groups"), forwardOptions(at), at.flag("leaves")));
    }

    private static ForwardOptions forwardOptions(Reading at) {
        at.check(!(at.has("prefix") && at.has("subject")), "prefix", "stands beside a whole subject: take one");
        ForwardOptions.Heading heading = at.has("subject")
                ? new ForwardOptions.Heading(at.text("subject"), true)
                : at.has("prefix")
                        ? new ForwardOptions.Heading(at.text("prefix"), false)
                        : ForwardOptions.Heading.PRESET;
        return new ForwardOptions(
                at.text("note", ""),
                template(at, "noteTemplate"),
                heading,
                at.flag("attached"),
                address(at, "from"),
                at.choice("answersGo", ForwardOptions.AnswersGo.values(), ForwardOptions.AnswersGo.TO_US)
                        .orElse(ForwardOptions.AnswersGo.TO_US),
                release(at));
    }

    static Optional<Step> redirect(Reading at) {
        at.only(Set.of("do", "to", "groups", "leaves", "release", "of", "afterMinutes"));
        return at.attempt(() -> new Step.Redirect(
                at.texts("to", MailAddress::of), texts(at, "groups"), at.flag("leaves"), release(at)));
    }

    static Optional<Step> reply(Reading at) {
        at.only(REPLY);
        Optional<TemplateId> template = template(at, "template");
        String text = template.isPresent() ? at.text("text", "") : at.text("text");
        return at.attempt(() -> new Step.Reply(template, at.text("subject", ""), text, options(at)));
    }

    private static ReplyOptions options(Reading at) {
        at.check(!(at.has("oncePerDays") && at.has("timesADay")), "timesADay", "stands beside oncePerDays: take one");
        ReplyFrequency frequency = at.has("timesADay")
                ? ReplyFrequency.aDay(at.number("timesADay", 1))
                : ReplyFrequency.once(Duration.ofDays(at.number("oncePerDays", ReplyFrequency.PRESET.days())));
        AnswersTo to =
                at.<AnswersTo>optional("answersTo", SendingJson::answersTo).orElse(AnswersTo.Header.RETURN_PATH);
        return new ReplyOptions(
                frequency,
                Optional.of(at.text("key", "")),
                to,
                at.flag("quotes"),
                addresses(at, "copies"),
                addresses(at, "aliases"),
                address(at, "from"),
                at.flag("inConversations"),
                at.flag("keepsUnanswered"),
                release(at),
                at.has("languages") ? at.texts("languages", TemplateId::new) : List.of(),
                substitute(at));
    }

    private static Optional<MailAddress> substitute(Reading at) {
        return address(at, "substitute").map(named -> named.named(at.text("substituteName", "")));
    }

    private static Release release(Reading at) {
        if (at.has("instruction")) {
            boolean alone = !at.has("release") && !at.has("afterMinutes");
            at.check(alone, "instruction", "what is composed waits for approval: leave out release and afterMinutes");
            return at.<Release>attempt(() -> new Release.Composed(at.text("instruction")))
                    .orElse(Release.Plain.ON_APPROVAL);
        }
        at.check(!(at.has("release") && at.has("afterMinutes")), "afterMinutes", "stands beside release: take one");
        if (at.has("afterMinutes")) {
            return at.<Release>attempt(() -> new Release.After(at.number("afterMinutes", 1)))
                    .orElse(Release.Plain.AT_ONCE);
        }
        Release.Plain plain = at.choice("release", Release.Plain.values(), Release.Plain.AT_ONCE)
                .orElse(Release.Plain.AT_ONCE);
        boolean named = at.has("of");
        at.check(!named || plain.isAtOpening(), "of", "names hours: set release to “at opening” beside it");
        return named ? new Release.AtOpeningOf(at.text("of")) : plain;
    }

    /** An object, of which "part" says where, and for the text the pattern and the forms. */
    private static Optional<AnswersTo> answersTo(Reading at) {
        if (at.text("part").equals("text")) {
            at.only(Set.of("part", "pattern", "forms"));
            String pattern = at.text("pattern", AnswersTo.InText.USUAL);
            return at.attempt(() -> new AnswersTo.InText(pattern, addresses(at, "forms")));
        }
        at.only(Set.of("part"));
        return at.choice("part", AnswersTo.Header.values(), AnswersTo.Header.RETURN_PATH)
                .map(header -> header);
    }

    private static List<MailAddress> addresses(Reading at, String member) {
        return at.has(member) ? at.texts(member, MailAddress::of) : List.of();
    }

    private static List<String> texts(Reading at, String member) {
        return at.has(member) ? at.texts(member, text -> text) : List.of();
    }

    private static Optional<MailAddress> address(Reading at, String member) {
        return at.has(member) ? at.attempt(() -> MailAddress.of(at.text(member))) : Optional.empty();
    }

    private static Optional<TemplateId> template(Reading at, String member) {
        return at.has(member) ? at.attempt(() -> new TemplateId(at.text(member))) : Optional.empty();
    }

    static ObjectNode write(Step step) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.put("do", Reading.word(step.kind()));
        if (step instanceof Step.HandOn handOn) {
            ArrayNode to = node.putArray("to");
            handOn.to().forEach(address -> to.add(address.address()));
            if (!handOn.groups().isEmpty()) {
                ArrayNode groups = node.putArray("groups");
                handOn.groups().forEach(groups::add);
            }
            flag(node, "leaves", handOn.leaves());
        }
        if (step.release() instanceof Release.After after) {
            node.put("afterMinutes", after.minutes());
        } else if (step.release() instanceof Release.Composed composed) {
            node.put("instruction", composed.instruction());
        } else if (step.release() instanceof Release.AtOpeningOf hours) {
            node.put("release", Reading.word(Release.Plain.AT_OPENING)).put("of", hours.of());
        } else if (step.release() instanceof Release.Plain plain && plain != Release.Plain.AT_ONCE) {
            node.put("release", Reading.word(plain));
        }
        if (step instanceof Step.Forward forward) {
            write(node, forward.options());
        } else if (step instanceof Step.Reply reply) {
            reply.template()
                    .ifPresentOrElse(
                            template -> node.put("template", template.value()),
                            () -> node.put("subject", reply.subject()).put("text", reply.text()));
            write(node, reply.options());
        }
        return node;
    }

    private static void write(ObjectNode node, ForwardOptions options) {
        if (!options.note().isEmpty()) {
            node.put("note", options.note());
        }
        options.template().ifPresent(template -> node.put("noteTemplate", template.value()));
        if (!options.subject().equals(ForwardOptions.Heading.PRESET)) {
            node.put(
                    options.subject().replaces() ? "subject" : "prefix",
                    options.subject().text());
        }
        flag(node, "attached", options.attached());
        options.from().ifPresent(from -> node.put("from", from.address()));
        if (options.answers() != ForwardOptions.AnswersGo.TO_US) {
            node.put("answersGo", Reading.word(options.answers()));
        }
    }

    private static void write(ObjectNode node, ReplyOptions options) {
        if (options.frequency().times() == 1) {
            node.put("oncePerDays", options.frequency().days());
        } else {
            node.put("timesADay", options.frequency().times());
        }
        options.key().ifPresent(key -> node.put("key", key));
        if (options.to() instanceof AnswersTo.InText found) {
            put(
                    node.putObject("answersTo").put("part", "text").put("pattern", found.pattern()),
                    "forms",
                    found.forms());
        } else if (options.to() != AnswersTo.Header.RETURN_PATH) {
            node.putObject("answersTo").put("part", Reading.word((AnswersTo.Header) options.to()));
        }
        flag(node, "quotes", options.quotes());
        put(node, "copies", options.copies());
        put(node, "aliases", options.aliases());
        options.from().ifPresent(from -> node.put("from", from.address()));
        flag(node, "inConversations", options.inConversations());
        flag(node, "keepsUnanswered", options.keepsUnanswered());
        if (!options.languages().isEmpty()) {
            ArrayNode languages = node.putArray("languages");
            options.languages().forEach(template -> languages.add(template.value()));
        }
        options.substitute().ifPresent(named -> {
            node.put("substitute", named.address());
            if (!named.name().isBlank()) {
                node.put("substituteName", named.name());
            }
        });
    }

    private static void put(ObjectNode node, String member, List<MailAddress> addresses) {
        if (!addresses.isEmpty()) {
            ArrayNode array = node.putArray(member);
            addresses.forEach(address -> array.add(address.address()));
        }
    }

    private static void flag(ObjectNode node, String member, boolean set) {
        if (set) {
            node.put(member, true);
        }
    }
}
