package app.jubek.server.review;

import app.jubek.core.decide.CompiledBook;
import app.jubek.core.decide.Decision;
import app.jubek.core.decide.Engine;
import app.jubek.core.decide.Outcome;
import app.jubek.core.evidence.Evidence;
import app.jubek.core.evidence.Rehearsed;
import app.jubek.core.explain.Hits;
import app.jubek.core.plan.NotDone;
import app.jubek.core.plan.PlannedStep;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.sample.SampleMessage;
import app.jubek.core.view.MessageContext;
import app.jubek.core.view.MessageView;
import app.jubek.core.wording.Statement;
import app.jubek.formats.rulebook.RuleBookJson;
import app.jubek.server.account.Allowed;
import app.jubek.server.addressbook.AddressBooks;
import app.jubek.server.deciding.DecisionContexts;
import app.jubek.server.pastmail.PastMail;
import app.jubek.server.platform.Refused;
import app.jubek.server.preview.ComposedBeforehand;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
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
    private final DecisionContexts contexts;
    private final AddressBooks people;
    private final ComposedBeforehand composed;

    ExplainController(PastMail pastMail, DecisionContexts contexts, AddressBooks people, ComposedBeforehand composed) {
        this.composed = composed;
        this.pastMail = pastMail;
        this.contexts = contexts;
        this.people = people;
    }

    /**
     * @param rule a draft to be put among the rules
     * @param message a past message, or else a made-up one
     * @param days how far back the evidence of a draft reaches, within which it would have answered before
     */
    record ExplainAsked(
            @Schema(ref = "#/components/schemas/Rule") Optional<JsonNode> rule,
            int order,
            Optional<Long> message,
            Optional<Integer> days,
            Optional<SampleMessage> sample) {}

    /**
     * @param done what would be done, in order
     * @param leaving what would leave for a message written on the spot, as its recipients would see it
     * @param notDone what would be held or withheld, and why
     */
    record ExplainView(
            List<RuleLine> rules,
            List<Statement> done,
            List<NotDoneLine> notDone,
            boolean staysInInbox,
            List<ComposedBeforehand.Leaving> leaving) {}

    /**
     * A step that would be held, or withheld, and why.
     *
     * @param ofAMachine whether it would be done for somebody whom a web form names, if the form were trusted
     */
    record NotDoneLine(Statement step, boolean held, Statement reason, boolean ofAMachine) {}

    /**
     * @param hits which of the phrases and addresses that it lists a message has that it picks
     */
    record RuleLine(String rule, String name, boolean picked, Statement outcome, List<String> hits) {}

    @PostMapping("/api/mailboxes/{mailbox}/explain")
    ExplainView explain(@Allowed UUID mailbox, @RequestBody ExplainAsked asked) {
        PastMail.Window window = pastMail.window(mailbox, LONGEST);
        Optional<ExplainView> asInEvidence = asInEvidence(asked, mailbox);
        if (asInEvidence.isPresent()) {
            return asInEvidence.get();
        }
        RuleBook book = asked.rule()
                .filter(JsonNode::isObject)
                .map(RuleBookJson::readDraft)
                .map(draft -> window.withRule(draft.rule().switched(true), asked.order()))
                .orElse(window.book());
        MessageView seen = asked.message()
                .map(id -> window.past().message(window.place(id)).seen())
                .or(() -> asked.sample()
                        .map(made -> made.view(
                                window.mailbox().own().identity(),
                                window.mailbox().contextOfInbox(people.of(mailbox), window.now()))))
                .orElseThrow(() -> Refused.invalid("Say which message, or make one up.", List.of()));
        MessageContext context = seen.context().atArrival();
        Decision decision =
                Engine.decide(CompiledBook.of(book), seen.message(), contexts.ofRehearsal(window.mailbox(), context));
        List<ComposedBeforehand.Leaving> leaving = asked.sample()
                .map(made -> composed.of(
                        window.mailbox(),
                        seen.message(),
                        made.bytes(window.mailbox().own().identity()),
                        decision,
                        window.now()))
                .orElse(List.of());
        return view(decision, seen, leaving);
    }

    /** Of a draft's evidence, so that an opened message says what its line says. */
    private Optional<ExplainView> asInEvidence(ExplainAsked asked, UUID mailbox) {
        if (asked.message().isEmpty() || asked.rule().filter(JsonNode::isObject).isEmpty()) {
            return Optional.empty();
        }
        PastMail.Window window = pastMail.window(mailbox, asked.days().orElse(LONGEST));
        Rule draft = RuleBookJson.readDraft(asked.rule().get()).rule();
        Evidence evidence = window.evidence(draft, asked.order());
        Rehearsed rehearsed = window.rehearsed(evidence, contexts.ofRehearsal(window.mailbox(), window.now()));
        return evidence.results().stream()
                .filter(result -> result.message().id() == asked.message().get())
                .findFirst()
                .map(result -> view(rehearsed.decision(result), result.message().seen(), List.of()));
    }

    private static ExplainView view(Decision decision, MessageView seen, List<ComposedBeforehand.Leaving> leaving) {
        return new ExplainView(
                decision.trace().stream().map(outcome -> line(outcome, seen)).toList(),
                decision.planned().stream().map(PlannedStep::statement).toList(),
                decision.notDone().stream().map(ExplainController::line).toList(),
                decision.staysInInbox(),
                leaving);
    }

    private static RuleLine line(Outcome outcome, MessageView seen) {
        Rule rule = outcome.rule();
        List<String> hits = outcome.isPicked() ? Hits.of(rule.picksOut(), seen) : List.of();
        return new RuleLine(rule.id().value(), rule.name(), outcome.isPicked(), outcome.statement(), hits);
    }

    private static NotDoneLine line(NotDone not) {
        return new NotDoneLine(
                not.planned().statement(),
                not.waits(),
                not.statement(),
                not.reason().isOfAMachine());
    }
}
