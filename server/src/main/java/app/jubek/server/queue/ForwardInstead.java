package app.jubek.server.queue;

import app.jubek.core.address.MailAddress;
import app.jubek.core.plan.PlannedStep;
import app.jubek.core.plan.Sending;
import app.jubek.core.plan.StepNote;
import app.jubek.core.rule.RuleId;
import app.jubek.core.step.Step;
import app.jubek.core.step.StepState;
import app.jubek.core.template.Letter;
import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.mailbox.Mailboxes;
import java.util.List;
import org.springframework.stereotype.Component;

/** Plans a forward in the place of a redirect that can't leave as it is: to the same recipient, by the same rule. */
@Component
class ForwardInstead {
    private final StepMaker maker;
    private final Mailboxes mailboxes;

    ForwardInstead(StepMaker maker, Mailboxes mailboxes) {
        this.maker = maker;
        this.mailboxes = mailboxes;
    }

    void plan(StepEntity redirect) {
        Mailbox mailbox = mailboxes.find(redirect.mailboxId());
        MailAddress to = MailAddress.of(redirect.recipient());
        PlannedStep planned = new PlannedStep(
                        new RuleId(redirect.ruleId()),
                        redirect.ruleVersion(),
                        redirect.ruleName(),
                        redirect.ordinal(),
                        new Step.Forward(List.of(to), ""))
                .with(new Sending(Letter.none(), to, mailbox.own().identity(), false));
        StepMaker.Subject subject = maker.stored(mailbox, redirect.messageId());
        StepMaker.Made made = maker.make(subject, planned, redirect.position());
        made.step().become(StepState.READY, StepNote.IN_PLACE_OF_REDIRECT.with());
        maker.save(made, subject.original());
    }
}
