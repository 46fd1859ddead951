package app.jubek.server.preview;

import app.jubek.core.address.MailAddress;
import app.jubek.core.criteria.Everything;
import app.jubek.core.criteria.Nothing;
import app.jubek.core.decide.CompiledBook;
import app.jubek.core.decide.Decision;
import app.jubek.core.decide.DecisionContext;
import app.jubek.core.decide.Engine;
import app.jubek.core.message.ByteSource;
import app.jubek.core.outgoing.Composer;
import app.jubek.core.plan.PlannedStep;
import app.jubek.core.rule.Ending;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.rule.RuleId;
import app.jubek.core.step.Step;
import app.jubek.core.view.MessageContext;
import app.jubek.core.wording.Wording;
import app.jubek.server.deciding.DecisionContexts;
import app.jubek.server.pastmail.PastMail;
import app.jubek.server.platform.Refused;
import java.util.List;
import org.springframework.stereotype.Component;

/** Hands past mail on as the engine would, to a colleague who is not there; nothing leaves. */
@Component
class HandedOnBeforehand {
    private static final MailAddress COLLEAGUE = MailAddress.of("colleague@recipient.invalid");

    private final DecisionContexts contexts;
    private final ComposedBeforehand composed;
    private final Wording wording;

    HandedOnBeforehand(DecisionContexts contexts, ComposedBeforehand composed, Wording wording) {
        this.contexts = contexts;
        this.composed = composed;
        this.wording = wording;
    }

    /**
     * The bytes that would arrive.
     *
     * @throws Refused with the reason, when the message would not be handed on so
     */
    ByteSource bytes(PastMail.Window window, MessageContext context, Composer.Original original, Step.HandOn step) {
        PlannedStep planned = planned(window, context, original, only(step));
        return composed.bytes(window.mailbox(), planned, original, window.now());
    }

    private static Step only(Step.HandOn step) {
        return step instanceof Step.Forward forward
                ? new Step.Forward(List.of(COLLEAGUE), List.of(), forward.options(), false)
                : new Step.Redirect(List.of(COLLEAGUE));
    }

    private PlannedStep planned(PastMail.Window window, MessageContext context, Composer.Original original, Step step) {
        Rule rule = new Rule(
                new RuleId("seen"), 1, "seen", new Everything(), new Nothing(), List.of(step), Ending.CONTINUE, true);
        RuleBook book = new RuleBook(List.of(rule), window.book().fence(), List.of());
        DecisionContext at = contexts.withEverybodyAgreed(window.mailbox(), context);
        Decision decision = Engine.decide(CompiledBook.of(book), original.message(), at);
        return decision.planned().stream()
                .findFirst()
                .orElseThrow(() -> Refused.invalid(
                        "This message would not be handed on: "
                                + decision.notDone().stream()
                                        .map(not -> wording.of(not.statement()))
                                        .findFirst()
                                        .orElse("")
                                + ".",
                        List.of()));
    }
}
