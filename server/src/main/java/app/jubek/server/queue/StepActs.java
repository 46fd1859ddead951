package app.jubek.server.queue;

import app.jubek.core.plan.Reason;
import app.jubek.core.plan.StepNote;
import app.jubek.core.step.StepState;
import app.jubek.server.platform.Refused;
import app.jubek.server.replyhistory.StoredReplyHistory;
import app.jubek.server.step.StepView.Act;
import app.jubek.server.step.Work;
import java.time.Clock;
import java.util.Locale;
import java.util.Map;
import org.springframework.stereotype.Component;

/** What a person may do with a step, and does. */
@Component
class StepActs {
    private final StepRepository steps;
    private final ForwardInstead forwards;
    private final AnswerAnyway answers;
    private final AfterReply afterReply;
    private final FollowUps followUps;
    private final StoredReplyHistory history;
    private final Clock clock;

    StepActs(
            StepRepository steps,
            ForwardInstead forwards,
            AnswerAnyway answers,
            AfterReply afterReply,
            FollowUps followUps,
            StoredReplyHistory history,
            Clock clock) {
        this.steps = steps;
        this.forwards = forwards;
        this.answers = answers;
        this.afterReply = afterReply;
        this.followUps = followUps;
        this.history = history;
        this.clock = clock;
    }

    /**
     * @throws Refused when the step is no longer in a state for it
     */
    void act(StepEntity step, Act act, boolean unseen, String who) {
        if (!step.standing(unseen).acts().contains(act)) {
            throw Refused.conflict(
                    "The step is " + step.state().name().toLowerCase(Locale.ROOT)
                            + " by now, so that can't be done any more.",
                    Map.of());
        }
        switch (act) {
            case DISCARD -> drop(step);
            case FORWARD_INSTEAD -> {
                forwards.plan(step);
                step.settle(StepState.DISCARDED, StepNote.FORWARDED_INSTEAD.with(), clock.instant());
            }
            case ANSWER_ANYWAY -> {
                answers.plan(step, who);
                step.attend();
            }
            case BRING_BACK -> bringBack(step);
            case SEND_NOW, TRY_AGAIN -> {
                if (step.state() != StepState.READY) {
                    step.become(StepState.READY);
                }
                step.approve(who);
                steps.postpone(step.id(), 0);
            }
            case STOP -> step.become(StepState.HELD, Reason.STOPPED.with());
            case LEAVE -> step.attend();
            case DEALT_WITH -> followUps.end(step, StepNote.SAID_TO_BE_DEALT_WITH.with(who));
            default -> throw new IllegalArgumentException("no such act");
        }
    }

    /** An answer that was held and is dropped was never given, so the sender may get another. */
    private void drop(StepEntity step) {
        if (step.state() == StepState.HELD || step.waitsForItsTime()) {
            history.forget(step.id());
        }
        step.settle(StepState.DISCARDED, StepNote.DISCARDED_BY_PERSON.with(), clock.instant());
        afterReply.notGiven(step);
    }

    private void bringBack(StepEntity of) {
        of.attend();
        if (of.kind() == Work.FOLLOW_UP) {
            of.bringBackNow(StepNote.BROUGHT_BACK_BY_PERSON.with());
            return;
        }
        steps.save(FollowUps.bringingBack(of, StepNote.BROUGHT_BACK_BY_PERSON.with(), clock.instant()));
    }
}
