package app.jubek.server.evidence;

import app.jubek.core.criteria.InHand;
import app.jubek.core.criteria.Setting;
import app.jubek.core.decide.CompiledBook;
import app.jubek.core.decide.Decision;
import app.jubek.core.decide.Engine;
import app.jubek.core.decide.Outcome;
import app.jubek.core.decide.Surroundings;
import app.jubek.core.plan.NotDone;
import app.jubek.core.plan.PlannedStep;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.safety.HopMark;
import app.jubek.core.safety.Ledger;
import app.jubek.formats.rulebook.RuleBookJson;
import app.jubek.server.account.SignedIn;
import app.jubek.server.addressbook.AddressBooks;
import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.platform.InstallationKeys;
import app.jubek.server.platform.Refused;
import app.jubek.server.template.Templates;
import io.swagger.v3.oas.annotations.media.Schema;
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
    /** Any message that is kept can be explained, whatever the evidence window. */
    private static final int LONGEST = 180;

    private final PastMail pastMail;
    private final InstallationKeys keys;
    private final Templates templates;
    private final AddressBooks people;

    ExplainController(PastMail pastMail, InstallationKeys keys, Templates templates, AddressBooks people) {
        this.pastMail = pastMail;
        this.keys = keys;
        this.templates = templates;
        this.people = people;
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

    /**
     * @param done what would be done, in order
     * @param notDone what would be held or withheld, and why
     */
    record ExplainView(List<RuleLine> rules, List<String> done, List<String> notDone, boolean staysInInbox) {}

    record RuleLine(String rule, String name, boolean picked, String words) {}

    @PostMapping("/api/mailboxes/{mailbox}/explain")
    ExplainView explain(
            @AuthenticationPrincipal SignedIn who, @PathVariable UUID mailbox, @RequestBody ExplainAsked asked) {
        PastMail.Window window = pastMail.window(who, mailbox, LONGEST);
        RuleBook book = asked.rule()
                .filter(JsonNode::isObject)
                .map(RuleBookJson::readRule)
                .map(rule -> window.withRule(rule.switched(true), asked.order()))
                .orElse(window.book());
        InHand seen = asked.message()
                .map(id -> window.past().message(window.place(id)).seen())
                .or(() -> asked.madeUp().map(made -> made.inHand(window.mailbox(), people.of(mailbox), window.now())))
                .orElseThrow(() -> Refused.invalid("Say which message, or make one up.", List.of()));
        Setting setting = seen.setting().atArrival();
        Decision decision =
                Engine.decide(CompiledBook.of(book), seen.message(), surroundings(window.mailbox(), setting));
        return view(decision);
    }

    private static ExplainView view(Decision decision) {
        return new ExplainView(
                decision.trace().stream().map(ExplainController::line).toList(),
                decision.planned().stream().map(PlannedStep::done).toList(),
                decision.notDone().stream().map(ExplainController::words).toList(),
                decision.staysInInbox());
    }

    private static RuleLine line(Outcome outcome) {
        Rule rule = outcome.rule();
        return new RuleLine(rule.id().value(), rule.name(), outcome.isPicked(), outcome.inWords());
    }

    private static String words(NotDone not) {
        return "not " + not.planned().done() + ", " + (not.waits() ? "held: " : "withheld: ") + not.why();
    }

    /** Nobody was answered yet, and nobody outside has agreed, as on this server. */
    private Surroundings surroundings(Mailbox mailbox, Setting setting) {
        return new Surroundings(
                setting,
                mailbox.opening(),
                Ledger.empty(),
                new HopMark(keys.key("hop-mark")),
                Map.of(),
                templates.of(mailbox.id()),
                new Surroundings.Agreed.Addresses(Set.of()));
    }
}
