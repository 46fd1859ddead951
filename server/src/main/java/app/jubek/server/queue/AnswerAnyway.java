package app.jubek.server.queue;

import app.jubek.core.plan.PlannedStep;
import app.jubek.core.plan.Reason;
import app.jubek.core.plan.StepNote;
import app.jubek.core.rule.RuleId;
import app.jubek.core.step.StepState;
import app.jubek.server.deciding.DecidedAnew;
import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.mailbox.Mailboxes;
import java.util.List;
import org.springframework.stereotype.Component;

/** Gives an answer that was withheld only because of who was answered before. */
@Component
class AnswerAnyway {
    private final StepRepository steps;
    private final StepMaker maker;
    private final Mailboxes mailboxes;
    private final DecidedAnew decided;

    AnswerAnyway(StepRepository steps, StepMaker maker, Mailboxes mailboxes, DecidedAnew decided) {
        this.steps = steps;
        this.maker = maker;
        this.mailboxes = mailboxes;
        this.decided = decided;
    }

    void plan(StepEntity withheld, String who) {
        long message = withheld.messageId();
        Mailbox mailbox = mailboxes.find(withheld.mailboxId());
        StepMaker.Subject subject = maker.stored(mailbox, message);
        List<PlannedStep> answer = decided.answer(
                mailbox, new RuleId(withheld.ruleId()), subject.original().message(), steps.received(message));
        boolean moves =
                steps.ofMessages(mailbox.id(), List.of(message)).stream().anyMatch(step -> waitedFor(withheld, step));
        answer.stream()
                .filter(planned -> moves || !planned.step().kind().removes())
                .forEach(planned -> plan(subject, planned, withheld.position(), who));
    }

    private void plan(StepMaker.Subject subject, PlannedStep planned, int position, String who) {
        StepMaker.Made made = maker.make(subject, planned, position);
        made.step().become(StepState.READY, StepNote.ANSWERED_ANYWAY.with());
        if (planned.step().kind().removes()) {
            made.step().waitForReply();
        } else if (!made.step().release().isOnApproval()) {
            made.step().approve(who);
        }
        maker.save(made, subject.original());
    }

    /** Whether a step was not done as its rule did not answer. */
    private static boolean waitedFor(StepEntity answer, StepEntity step) {
        return answer.ruleId().equals(step.ruleId())
                && step.state() == StepState.WITHHELD
                && step.standing(false)
                        .reason()
                        .filter(Reason.NOT_ANSWERED::equals)
                        .isPresent();
    }
}
