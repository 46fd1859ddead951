package app.jubek.server.evidence;

import app.jubek.core.address.MailAddress;
import app.jubek.core.corpus.PastMessage;
import app.jubek.core.criteria.Everything;
import app.jubek.core.criteria.Nothing;
import app.jubek.core.decide.CompiledBook;
import app.jubek.core.decide.Decision;
import app.jubek.core.decide.Engine;
import app.jubek.core.decide.Surroundings;
import app.jubek.core.message.Octets;
import app.jubek.core.outgoing.Composer;
import app.jubek.core.outgoing.Redirected;
import app.jubek.core.plan.NotDone;
import app.jubek.core.plan.PlannedStep;
import app.jubek.core.rule.Ending;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.rule.RuleId;
import app.jubek.core.safety.HopMark;
import app.jubek.core.safety.Ledger;
import app.jubek.core.step.Step;
import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.platform.InstallationKeys;
import app.jubek.server.platform.Refused;
import app.jubek.server.template.Documents;
import app.jubek.server.template.Templates;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;

/** Hands past mail on as the engine would, to a colleague who is not there; nothing leaves. */
@Component
class HandedOnBeforehand {
    private static final MailAddress COLLEAGUE = MailAddress.of("colleague@recipient.invalid");

    private final Templates templates;
    private final Documents documents;
    private final InstallationKeys keys;

    HandedOnBeforehand(Templates templates, Documents documents, InstallationKeys keys) {
        this.templates = templates;
        this.documents = documents;
        this.keys = keys;
    }

    /**
     * The octets that would arrive.
     *
     * @throws Refused with the reason, when the message would not be handed on so
     */
    Octets octets(PastMail.Window window, PastMessage past, Composer.Original original, Step.HandOn step) {
        Mailbox mailbox = window.mailbox();
        HopMark hops = new HopMark(keys.key("hop-mark"));
        PlannedStep planned = planned(window, past, original, only(step), hops);
        Composer composer = new Composer(mailbox.own(), hops, mailbox.zone(), documents.octets(mailbox.id()));
        Octets composed =
                Octets.of(composer.compose(planned, original, window.now()).octets());
        return step instanceof Step.Redirect ? new Redirected(composed, original.octets()) : composed;
    }

    private static Step only(Step.HandOn step) {
        return step instanceof Step.Forward forward
                ? new Step.Forward(List.of(COLLEAGUE), List.of(), forward.cover(), false)
                : new Step.Redirect(List.of(COLLEAGUE));
    }

    private PlannedStep planned(
            PastMail.Window window, PastMessage past, Composer.Original original, Step step, HopMark hops) {
        Rule rule = new Rule(
                new RuleId("seen"), 1, "seen", new Everything(), new Nothing(), List.of(step), Ending.GOES_ON, true);
        RuleBook book = new RuleBook(List.of(rule), window.book().fence(), List.of());
        Surroundings at = new Surroundings(
                past.seen().setting(),
                window.mailbox().opening(),
                Ledger.empty(),
                hops,
                Map.of(),
                templates.of(window.mailbox().id()),
                new Surroundings.Agreed.Everybody());
        Decision decision = Engine.decide(CompiledBook.of(book), original.message(), at);
        return decision.planned().stream()
                .findFirst()
                .orElseThrow(() -> Refused.invalid(
                        "This message would not be handed on: "
                                + decision.notDone().stream()
                                        .map(NotDone::why)
                                        .findFirst()
                                        .orElse("")
                                + ".",
                        List.of()));
    }
}
