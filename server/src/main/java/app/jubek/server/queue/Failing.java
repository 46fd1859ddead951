package app.jubek.server.queue;

import app.jubek.core.plan.StepNote;
import app.jubek.core.plan.Trouble;
import app.jubek.core.step.StepState;
import app.jubek.core.wording.Statement;
import app.jubek.server.agreement.StoredAgreements;
import app.jubek.server.figures.StepCounts;
import app.jubek.server.step.Work;
import java.time.Clock;
import org.springframework.stereotype.Component;

/** Lets a step fail for good; what was to be handed over comes back into sight, once for each message. */
@Component
class Failing {
    private final StepRepository steps;
    private final StoredAgreements agreements;
    private final FollowUps followUps;
    private final StepCounts counts;
    private final Clock clock;

    Failing(StepRepository steps, StoredAgreements agreements, FollowUps followUps, StepCounts counts, Clock clock) {
        this.followUps = followUps;
        this.steps = steps;
        this.agreements = agreements;
        this.counts = counts;
        this.clock = clock;
    }

    void fail(StepEntity step, Trouble trouble) {
        step.settle(StepState.FAILED, trouble.cause(), clock.instant());
        trouble.advice().ifPresent(step::advise);
        counts.settled(step.mailboxId(), step.kind(), step.state());
        if (step.kind().handsOn()) {
            steps.saveAndFlush(step);
            agreements.failed(step.mailboxId(), step.recipient());
        }
        if (step.kind().handsOver() && !steps.existsByMessageIdAndKind(step.messageId(), Work.BRING_BACK)) {
            Statement why = StepNote.NOT_HANDED_ON_TO.with(step.recipient());
            steps.save(FollowUps.bringingBack(step, why, clock.instant()));
            followUps.end(step.messageId(), StepNote.CAME_BACK_BEFORE.with());
        }
    }
}
