package app.jubek.server.preview;

import app.jubek.core.address.MailAddress;
import app.jubek.core.arrival.Arrival;
import app.jubek.core.corpus.PastMessage;
import app.jubek.core.evidence.Counter;
import app.jubek.core.message.ByteSource;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.outgoing.Composer;
import app.jubek.core.people.AddressBook;
import app.jubek.core.reading.MessageReading;
import app.jubek.core.reading.TraceFields;
import app.jubek.core.rule.Rule;
import app.jubek.core.sample.SampleMessage;
import app.jubek.core.step.Step;
import app.jubek.core.text.Limits;
import app.jubek.core.view.AsReceived;
import app.jubek.core.view.MessageContext;
import app.jubek.core.wording.Statement;
import app.jubek.formats.rulebook.RuleBookJson;
import app.jubek.server.account.Allowed;
import app.jubek.server.intake.Messages;
import app.jubek.server.pastmail.PastMail;
import app.jubek.server.platform.Refused;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** What handing mail on would look like at the other end, and whether it would get there. */
@RestController
class HandingOnController {
    private static final List<MailAddress> ANYBODY = List.of(MailAddress.of("colleague@recipient.invalid"));

    private final PastMail pastMail;
    private final Messages messages;
    private final HandedOnBeforehand handedOn;
    private final MessageReading reading = new MessageReading(Limits.standard());

    HandingOnController(PastMail pastMail, Messages messages, HandedOnBeforehand handedOn) {
        this.pastMail = pastMail;
        this.messages = messages;
        this.handedOn = handedOn;
    }

    /**
     * @param message a past one
     * @param sample one written on the spot, instead
     * @param step a forward or redirect of the edited rule; the other one is shown as it is by itself
     */
    record AsReceivedAsked(
            Optional<Long> message,
            Optional<SampleMessage> sample,
            int days,
            @Schema(ref = "#/components/schemas/Step") Optional<JsonNode> step) {}

    /**
     * @param differences from the message as it came in, that a recipient notices
     */
    record Seen(AsReceived shown, String text, boolean rich, List<AsReceived.SeenOtherwise> differences) {}

    record AsReceivedView(Seen original, Seen forwarded, Seen redirected) {}

    @PostMapping("/api/mailboxes/{mailbox}/as-received")
    AsReceivedView asReceived(@Allowed UUID mailbox, @RequestBody AsReceivedAsked asked) {
        PastMail.Window window = pastMail.window(mailbox, asked.days());
        Optional<PastMessage> past = asked.message().map(id -> window.past().message(window.place(id)));
        MessageContext context = past.map(found -> found.seen().context())
                .orElseGet(() -> window.mailbox().contextOfInbox(AddressBook.empty(), window.now()));
        ByteSource bytes = asked.message()
                .map(messages::bytes)
                .or(() -> asked.sample()
                        .map(made -> made.bytes(window.mailbox().own().identity())))
                .orElseThrow(() -> Refused.invalid("Say which message, or make one up.", List.of()));
        ReadMessage message = read(bytes);
        Composer.Original original = new Composer.Original(message, bytes, TraceFields.digestBelow(bytes));
        Optional<Step> step =
                asked.step().filter(JsonNode::isObject).map(node -> RuleBookJson.readStep(node.toString()));
        Step.HandOn forward = of(step, Step.Forward.class).orElse(new Step.Forward(ANYBODY, ""));
        Step.HandOn redirect = of(step, Step.Redirect.class).orElse(new Step.Redirect(ANYBODY));
        AsReceived before = AsReceived.of(message);
        return new AsReceivedView(
                seen(message, before),
                seen(read(handedOn.bytes(window, context, original, forward)), before),
                seen(read(handedOn.bytes(window, context, original, redirect)), before));
    }

    private static Optional<Step.HandOn> of(Optional<Step> step, Class<? extends Step.HandOn> kind) {
        return step.filter(kind::isInstance).map(kind::cast);
    }

    private ReadMessage read(ByteSource bytes) {
        return reading.read(bytes.all());
    }

    private static Seen seen(ReadMessage message, AsReceived before) {
        AsReceived shown = AsReceived.of(message);
        return new Seen(
                shown, String.join("\n\n", message.texts()), message.html().isPresent(), shown.from(before));
    }

    record ArrivalAsked(
            @Schema(ref = "#/components/schemas/Rule") JsonNode rule, int order, int days) {}

    record ArrivalView(int signed, int breaking, int unsigned, int untold, Statement advice) {}

    /** Of the messages that the rule picks. */
    @PostMapping("/api/mailboxes/{mailbox}/will-it-arrive")
    ArrivalView willItArrive(@Allowed UUID mailbox, @RequestBody ArrivalAsked asked) {
        PastMail.Window window = pastMail.window(mailbox, asked.days());
        Rule rule = RuleBookJson.readDraft(asked.rule()).rule();
        List<ReadMessage> picked = window.evidence(rule, asked.order()).places(Counter.PICKED).stream()
                .map(at -> window.past().message(at).message())
                .toList();
        Arrival arrival = Arrival.of(picked, window.mailbox().own());
        return new ArrivalView(
                arrival.signed(), arrival.breaking(), arrival.unsigned(), arrival.untold(), arrival.advice());
    }
}
