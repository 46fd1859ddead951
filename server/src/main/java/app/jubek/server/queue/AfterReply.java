package app.jubek.server.queue;

import app.jubek.core.plan.Reason;
import app.jubek.core.step.StepState;
import app.jubek.server.step.Work;
import java.time.Clock;
import org.springframework.stereotype.Component;

/** What is done only once a rule’s answer has left. */
@Component
class AfterReply {
    private final StepRepository steps;
    private final Clock clock;

    AfterReply(StepRepository steps, Clock clock) {
        this.steps = steps;
        this.clock = clock;
    }

    /** An answer that will not be given: what waited for it is not done either. */
    void notGiven(StepEntity answer) {
        if (answer.kind() == Work.REPLY) {
            steps.waitingForReply(answer.messageId(), answer.ruleId()).forEach(step -> {
                StepState end = step.state() == StepState.HELD ? StepState.DISCARDED : StepState.WITHHELD;
                step.settle(end, Reason.NOT_ANSWERED.with(), clock.instant());
                steps.save(step);
            });
        }
    }
}
