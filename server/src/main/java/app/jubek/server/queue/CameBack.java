package app.jubek.server.queue;

import app.jubek.core.bounce.Bounce;
import app.jubek.core.bounce.Delivery;
import app.jubek.core.plan.Advice;
import app.jubek.core.plan.Failure;
import app.jubek.core.plan.StepNote;
import app.jubek.core.plan.Trouble;
import app.jubek.core.step.StepState;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Component;

/**
 * What a bounce tells of a step. It is tied to it by the Message-ID of what left, which nobody can name who has not seen
 * it; any other bounce changes nothing.
 */
@Component
class CameBack {
    /** It may come back before its acceptance is noted. */
    private static final Set<StepState> GONE = Set.of(StepState.SENDING, StepState.SENT, StepState.UNCERTAIN);

    private final StepRepository steps;
    private final Failing failing;

    CameBack(StepRepository steps, Failing failing) {
        this.steps = steps;
        this.failing = failing;
    }

    /** The steps that it is about. */
    List<StepEntity> note(UUID mailbox, Bounce bounce) {
        List<StepEntity> about = bounce.originals().isEmpty() ? List.of() : steps.sentAs(mailbox, bounce.originals());
        about.stream().filter(step -> GONE.contains(step.state())).forEach(step -> note(step, bounce));
        return about;
    }

    private void note(StepEntity step, Bounce bounce) {
        Delivery delivery = bounce.to(step.recipient().toLowerCase(Locale.ROOT));
        switch (delivery.outcome()) {
            case FAILED -> {
                failing.fail(
                        step,
                        Trouble.of(Failure.CAME_BACK.with(step.recipient(), cause(delivery)), Advice.CHECK_ADDRESS));
                steps.saveAndFlush(step);
            }
            case DELAYED -> {
                step.note(StepNote.DELAYED_ON_THE_WAY.with(cause(delivery)));
                steps.save(step);
            }
            default -> {}
        }
    }

    private static Object cause(Delivery delivery) {
        return delivery.cause().isEmpty() ? StepNote.NO_CAUSE_TOLD.with() : delivery.cause();
    }
}
