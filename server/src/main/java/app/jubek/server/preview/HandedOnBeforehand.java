package app.jubek.server.preview;

import app.jubek.core.address.MailAddress;
import app.jubek.core.corpus.PastMessage;
import app.jubek.core.criteria.Everything;
import app.jubek.core.criteria.Nothing;
import app.jubek.core.decide.CompiledBook;
import app.jubek.core.decide.Decision;
import app.jubek.core.decide.DecisionContext;
import app.jubek.core.decide.Engine;
import app.jubek.core.message.ByteSource;
import app.jubek.core.outgoing.Composer;
import app.jubek.core.outgoing.Redirected;
import app.jubek.core.plan.PlannedStep;
import app.jubek.core.rule.Ending;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.rule.RuleId;
import app.jubek.core.safety.HopMark;
import app.jubek.core.step.Step;
import app.jubek.core.wording.Wording;
import app.jubek.server.deciding.DecisionContexts;
import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.pastmail.PastMail;
import app.jubek.server.platform.InstallationKeys;
import app.jubek.server.platform.Refused;
import app.jubek.server.template.Documents;
import java.util.List;
import org.springframework.stereotype.Component;

/** Hands past mail on as the engine would, to a colleague who is not there; nothing leaves. */
@Component
class HandedOnBeforehand {
    private static final MailAddress COLLEAGUE = MailAddress.of("colleague@recipient.invalid");

    private final DecisionContexts contexts;
    private final Documents documents;
    private final Wording wording;
    private final InstallationKeys keys;

    HandedOnBeforehand(DecisionContexts contexts, Documents documents, Wording wording, InstallationKeys keys) {
        this.contexts = contexts;
        this.wording = wording;
        this.documents = documents;
        this.keys = keys;
    }

    /**
     * The bytes that would arrive.
     *
     * @throws Refused with the reason, when the message would not be handed on so
     */
    ByteSource bytes(PastMail.Window window, PastMessage past, Composer.Original original, Step.HandOn step) {
        Mailbox mailbox = window.mailbox();
        HopMark hops = new HopMark(keys.key("hop-mark"));
        PlannedStep planned = planned(window, past, original, only(step));
        Composer composer = new Composer(mailbox.own(), hops, mailbox.zone(), documents.bytes(mailbox.id()));
        ByteSource composed =
                ByteSource.of(composer.compose(planned, original, window.now()).bytes());
        return step instanceof Step.Redirect ? new Redirected(composed, original.bytes()) : composed;
    }

    private static Step only(Step.HandOn step) {
        return step instanceof Step.Forward forward
                ? new Step.Forward(List.of(COLLEAGUE), List.of(), forward.options(), false)
                : new Step.Redirect(List.of(COLLEAGUE));
    }

    private PlannedStep planned(PastMail.Window window, PastMessage past, Composer.Original original, Step step) {
        Rule rule = new Rule(
                new RuleId("seen"), 1, "seen", new Everything(), new Nothing(), List.of(step), Ending.CONTINUE, true);
        RuleBook book = new RuleBook(List.of(rule), window.book().fence(), List.of());
        DecisionContext at =
                contexts.withEverybodyAgreed(window.mailbox(), past.seen().context());
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
