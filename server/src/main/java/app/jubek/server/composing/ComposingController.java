package app.jubek.server.composing;

import app.jubek.core.rule.Rule;
import app.jubek.core.step.Release;
import app.jubek.core.step.Step;
import app.jubek.core.wording.Statement;
import app.jubek.formats.rulebook.RuleBookJson;
import app.jubek.server.account.Allowed;
import app.jubek.server.composing.ComposedReplies.SentenceView;
import app.jubek.server.pastmail.PastMail;
import app.jubek.server.platform.Refused;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** ComposedReplies of replies, composed from messages. */
@RestController
class ComposingController {
    private final ComposingService service;
    private final ComposingTrial trial;
    private final TriedInstructions instructions;
    private final ComposedReplies composed;
    private final PastMail pastMail;

    ComposingController(
            ComposingService service,
            ComposingTrial trial,
            TriedInstructions instructions,
            ComposedReplies composed,
            PastMail pastMail) {
        this.service = service;
        this.trial = trial;
        this.instructions = instructions;
        this.composed = composed;
        this.pastMail = pastMail;
    }

    /**
     * @param host where messages would go to; empty while no service is set up
     */
    record ComposingView(Optional<String> host) {}

    @GetMapping("/api/mailboxes/{mailbox}/composing")
    ComposingView composing(@Allowed UUID mailbox) {
        return new ComposingView(service.host());
    }

    /**
     * @param rule as it is being made, with a reply that is composed
     */
    record ComposingTrialAsked(
            @Schema(ref = "#/components/schemas/Rule") JsonNode rule, int order, int days) {}

    /**
     * @param because why nothing was composed
     */
    record TriedMessageView(PastMail.Line message, List<SentenceView> sentences, Optional<Statement> because) {}

    /**
     * @param counts whether the rule may be on with it; not when the service could not be asked
     */
    record ComposingTrialView(List<TriedMessageView> messages, boolean counts) {}

    /** On up to three past messages; they go to the composing service, and nowhere else. */
    @PostMapping("/api/mailboxes/{mailbox}/composing/trial")
    ComposingTrialView tryInstruction(@Allowed UUID mailbox, @RequestBody ComposingTrialAsked asked) {
        Rule rule = RuleBookJson.readDraft(asked.rule()).rule();
        Step.Reply reply = rule.steps().stream()
                .filter(step -> step.release() instanceof Release.Composed)
                .map(Step.Reply.class::cast)
                .findFirst()
                .orElseThrow(() -> Refused.invalid("The rule composes no reply: write an instruction.", List.of()));
        List<ComposingTrial.Tried> tried = trial.of(pastMail.window(mailbox, asked.days()), rule, asked.order(), reply);
        boolean counts = service.isSetUp() && (tried.isEmpty() || tried.stream().anyMatch(ComposingTrial::isComposed));
        if (counts) {
            instructions.keep(mailbox, reply);
        }
        return new ComposingTrialView(
                tried.stream().map(ComposingController::view).toList(), counts);
    }

    private static TriedMessageView view(ComposingTrial.Tried tried) {
        return new TriedMessageView(
                PastMail.Line.of(tried.message()),
                tried.composed()
                        .map(text ->
                                text.sentences().stream().map(SentenceView::of).toList())
                        .orElse(List.of()),
                tried.why());
    }

    /** Has a reply composed once more. */
    @PostMapping("/api/mailboxes/{mailbox}/steps/{step}/composed")
    void askAgain(@Allowed UUID mailbox, @PathVariable UUID step) {
        composed.askAgain(mailbox, step);
    }

    /** Puts the text of the rule's own reply back. */
    @DeleteMapping("/api/mailboxes/{mailbox}/steps/{step}/composed")
    void setAside(@Allowed UUID mailbox, @PathVariable UUID step) {
        composed.setAside(mailbox, step);
    }
}
