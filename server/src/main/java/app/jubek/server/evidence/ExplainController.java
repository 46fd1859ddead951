package app.jubek.server.evidence;

import app.jubek.core.criteria.Setting;
import app.jubek.core.decide.CompiledBook;
import app.jubek.core.decide.Decision;
import app.jubek.core.decide.Engine;
import app.jubek.core.decide.Outcome;
import app.jubek.core.decide.Surroundings;
import app.jubek.core.message.MessageReading;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.people.AddressBook;
import app.jubek.core.plan.NotDone;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.safety.HopMark;
import app.jubek.core.safety.Ledger;
import app.jubek.core.text.Limits;
import app.jubek.formats.rulebook.RuleBookJson;
import app.jubek.server.account.SignedIn;
import app.jubek.server.intake.Messages;
import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.platform.InstallationKeys;
import io.swagger.v3.oas.annotations.media.Schema;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** What the rules, or a draft among them, would make of one message; nothing is done. */
@RestController
class ExplainController {
    private final PastMail pastMail;
    private final Messages messages;
    private final InstallationKeys keys;
    private final MessageReading reading = new MessageReading(Limits.standard());

    ExplainController(PastMail pastMail, Messages messages, InstallationKeys keys) {
        this.pastMail = pastMail;
        this.messages = messages;
        this.keys = keys;
    }

    /**
     * @param rule a draft to be put among the rules
     * @param message a past message, or else a made-up one
     */
    record ExplainAsked(
            @Schema(ref = "#/components/schemas/Rule") Optional<JsonNode> rule,
            int order,
            Optional<Long> message,
            Optional<MadeUp> madeUp) {}

    record MadeUp(String from, String to, String subject, String text) {}

    /**
     * @param done what would be done, in order
     * @param notDone what would be held or withheld, and why
     */
    record ExplainView(List<RuleLine> rules, List<String> done, List<String> notDone, boolean staysInInbox) {}

    record RuleLine(String rule, String name, boolean picked, String words) {}

    @PostMapping("/api/mailboxes/{mailbox}/explain")
    ExplainView explain(
            @AuthenticationPrincipal SignedIn who, @PathVariable UUID mailbox, @RequestBody ExplainAsked asked) {
        PastMail.Window window = pastMail.window(who, mailbox, 1);
        RuleBook book = asked.rule()
                .filter(JsonNode::isObject)
                .map(RuleBookJson::readRule)
                .map(rule -> window.withRule(rule.switched(true), asked.order()))
                .orElse(window.book());
        ReadMessage message = asked.message()
                .map(id -> messages.read(mailbox, id))
                .orElseGet(() -> reading.read(raw(asked.madeUp().orElseThrow(), window.mailbox())));
        Instant received =
                asked.message().flatMap(id -> message.receivedByItself()).orElse(window.now());
        Decision decision =
                Engine.decide(CompiledBook.of(book), message, surroundings(window.mailbox(), window.now(), received));
        return view(decision);
    }

    private static ExplainView view(Decision decision) {
        return new ExplainView(
                decision.trace().stream().map(ExplainController::line).toList(),
                decision.planned().stream().map(step -> step.step().done()).toList(),
                decision.notDone().stream().map(ExplainController::words).toList(),
                decision.staysInInbox());
    }

    private static RuleLine line(Outcome outcome) {
        Rule rule = outcome.rule();
        return new RuleLine(rule.id().value(), rule.name(), outcome.isPicked(), outcome.inWords());
    }

    private static String words(NotDone not) {
        return "not " + not.planned().step().done() + ", " + (not.waits() ? "held: " : "withheld: ") + not.why();
    }

    private Surroundings surroundings(Mailbox mailbox, Instant now, Instant received) {
        Setting setting = new Setting(
                mailbox.own(),
                AddressBook.empty(),
                now,
                received,
                mailbox.zone(),
                false,
                mailbox.own().identity().address(),
                "INBOX");
        return new Surroundings(
                setting,
                mailbox.opening(),
                Ledger.empty(),
                new HopMark(keys.key("hop-mark")),
                Map.of(),
                new Surroundings.Agreed.Addresses(Set.of()));
    }

    /** A message as it would come in; line ends in its fields would begin another field. */
    private static byte[] raw(MadeUp made, Mailbox mailbox) {
        String to = made.to().isBlank() ? mailbox.own().identity().address() : made.to();
        String header = "Return-Path: <" + line(made.from()) + ">\r\nFrom: " + line(made.from()) + "\r\nTo: " + line(to)
                + "\r\nSubject: " + line(made.subject()) + "\r\nMIME-Version: 1.0\r\n"
                + "Content-Type: text/plain; charset=utf-8\r\nContent-Transfer-Encoding: 8bit\r\n\r\n";
        return (header + made.text()).getBytes(StandardCharsets.UTF_8);
    }

    private static String line(String text) {
        return text.replaceAll("\\p{Cntrl}", " ").strip();
    }
}
