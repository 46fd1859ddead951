package app.jubek.server.evidence;

import app.jubek.core.address.MailAddress;
import app.jubek.core.corpus.PastMessage;
import app.jubek.core.message.MessageReading;
import app.jubek.core.message.Octets;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.message.TraceFields;
import app.jubek.core.outgoing.Arrival;
import app.jubek.core.outgoing.AsReceived;
import app.jubek.core.outgoing.Composed;
import app.jubek.core.outgoing.Composer;
import app.jubek.core.outgoing.Redirected;
import app.jubek.core.plan.PlannedStep;
import app.jubek.core.plan.Sending;
import app.jubek.core.rehearse.Counter;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleId;
import app.jubek.core.safety.HopMark;
import app.jubek.core.step.Cover;
import app.jubek.core.step.Step;
import app.jubek.core.template.Filling;
import app.jubek.core.template.Letter;
import app.jubek.core.template.Prepared;
import app.jubek.core.text.Limits;
import app.jubek.formats.rulebook.RuleBookJson;
import app.jubek.server.account.SignedIn;
import app.jubek.server.addressbook.AddressBooks;
import app.jubek.server.intake.Messages;
import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.platform.InstallationKeys;
import app.jubek.server.template.Documents;
import app.jubek.server.template.Templates;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** What handing mail on would look like at the other end, and whether it would get there. */
@RestController
class HandingOnController {
    private static final MailAddress COLLEAGUE = MailAddress.of("colleague@recipient.invalid");

    private final PastMail pastMail;
    private final Messages messages;
    private final Templates templates;
    private final Documents documents;
    private final AddressBooks people;
    private final InstallationKeys keys;
    private final MessageReading reading = new MessageReading(Limits.standard());

    HandingOnController(
            PastMail pastMail,
            Messages messages,
            Templates templates,
            Documents documents,
            AddressBooks people,
            InstallationKeys keys) {
        this.pastMail = pastMail;
        this.messages = messages;
        this.templates = templates;
        this.documents = documents;
        this.people = people;
        this.keys = keys;
    }

    /**
     * @param step a forward or redirect of the rule in hand; the other one is shown as it is by itself
     */
    record AsReceivedAsked(
            long message,
            int days,
            @Schema(ref = "#/components/schemas/Step") Optional<JsonNode> step) {
        AsReceivedAsked {
            step = Objects.requireNonNullElse(step, Optional.empty());
        }
    }

    /**
     * @param differences from the message as it came in, that a recipient notices
     */
    record Seen(AsReceived shown, String text, boolean rich, List<AsReceived.SeenOtherwise> differences) {}

    record AsReceivedView(Seen original, Seen forwarded, Seen redirected) {}

    @PostMapping("/api/mailboxes/{mailbox}/as-received")
    AsReceivedView asReceived(
            @AuthenticationPrincipal SignedIn who, @PathVariable UUID mailbox, @RequestBody AsReceivedAsked asked) {
        PastMail.Window window = pastMail.window(who, mailbox, asked.days());
        PastMessage past = window.past().message(window.place(asked.message()));
        Octets octets = messages.octets(asked.message());
        ReadMessage message = reading.read(octets.all());
        Composer.Original original = new Composer.Original(message, octets, TraceFields.digestBelow(octets));
        Optional<Step> step =
                asked.step().filter(JsonNode::isObject).map(node -> RuleBookJson.readStep(node.toString()));
        Step.Forward forward = step.filter(Step.Forward.class::isInstance)
                .map(Step.Forward.class::cast)
                .orElse(new Step.Forward(List.of(COLLEAGUE), ""));
        Step.Redirect redirect = step.filter(Step.Redirect.class::isInstance)
                .map(Step.Redirect.class::cast)
                .orElse(new Step.Redirect(List.of(COLLEAGUE)));
        AsReceived before = AsReceived.of(message);
        Octets block = Octets.of(composed(window, original, redirect, Letter.none()));
        return new AsReceivedView(
                seen(message, before),
                seen(reading.read(composed(window, original, forward, note(window, past, forward.cover()))), before),
                seen(reading.read(new Redirected(block, octets).all()), before));
    }

    private byte[] composed(PastMail.Window window, Composer.Original original, Step.HandOn step, Letter letter) {
        Mailbox mailbox = window.mailbox();
        MailAddress to = step.to().stream().findFirst().orElse(COLLEAGUE);
        MailAddress from = step instanceof Step.Forward forward
                ? forward.cover()
                        .from()
                        .flatMap(mailbox.own()::writingAs)
                        .orElse(mailbox.own().identity())
                : mailbox.own().identity();
        PlannedStep planned =
                new PlannedStep(new RuleId("seen"), 1, "seen", 0, step).with(new Sending(letter, to, from, false));
        Composer composer = new Composer(
                mailbox.own(), new HopMark(keys.key("hop-mark")), mailbox.zone(), documents.octets(mailbox.id()));
        Composed composed = composer.compose(planned, original, window.now());
        return composed.octets();
    }

    private Letter note(PastMail.Window window, PastMessage past, Cover cover) {
        Mailbox mailbox = window.mailbox();
        Prepared prepared = templates.of(mailbox.id());
        ReadMessage message = past.message();
        Filling filling = new Filling(
                message,
                mailbox.own(),
                past.received(),
                mailbox.zone(),
                message.writer().flatMap(people.of(mailbox.id())::person),
                Map.of());
        return cover.template()
                .flatMap(prepared::template)
                .map(template -> template.fill(filling, prepared))
                .orElse(Letter.plain("", cover.note()));
    }

    private static Seen seen(ReadMessage message, AsReceived before) {
        AsReceived shown = AsReceived.of(message);
        return new Seen(
                shown, String.join("\n\n", message.texts()), message.html().isPresent(), shown.from(before));
    }

    record ArrivalAsked(
            @Schema(ref = "#/components/schemas/Rule") JsonNode rule, int order, int days) {}

    record ArrivalView(int signed, int breaking, int unsigned, int untold, String advice) {}

    /** Of the messages that the rule picks. */
    @PostMapping("/api/mailboxes/{mailbox}/will-it-arrive")
    ArrivalView willItArrive(
            @AuthenticationPrincipal SignedIn who, @PathVariable UUID mailbox, @RequestBody ArrivalAsked asked) {
        PastMail.Window window = pastMail.window(who, mailbox, asked.days());
        Rule rule = RuleBookJson.readRule(asked.rule());
        List<ReadMessage> picked = window.evidence(rule, asked.order()).places(Counter.PICKED).stream()
                .map(at -> window.past().message(at).message())
                .toList();
        Arrival arrival = Arrival.of(picked, window.mailbox().own());
        return new ArrivalView(
                arrival.signed(), arrival.breaking(), arrival.unsigned(), arrival.untold(), arrival.advice());
    }
}
