package app.jubek.core.decide;

import app.jubek.core.plan.PlannedStep;
import app.jubek.core.step.Step;
import java.util.ArrayList;
import java.util.List;

/**
 * Steps as a mail server can do them: a message moves at most once, so of several folders all but the last get a copy, and
 * so do all of them when the message is kept; what leaves the inbox after it is handed on, and is filed nowhere, moves to
 * the trash.
 */
final class MailboxSteps {
    private final List<PlannedStep> asked;
    private final boolean kept;

    /**
     * @param asked in the order in which they are done
     */
    MailboxSteps(List<PlannedStep> asked) {
        this.asked = asked;
        this.kept = asked.stream().anyMatch(p -> p.step() == Step.Plain.KEEP);
    }

    boolean stayInInbox() {
        return kept || asked.stream().noneMatch(MailboxSteps::takesOut);
    }

    List<PlannedStep> carriedOut() {
        boolean moved = false;
        List<PlannedStep> steps = new ArrayList<>();
        for (int i = asked.size() - 1; i >= 0; i--) {
            PlannedStep step = asked.get(i);
            if (step.step() instanceof Step.File file) {
                steps.add(0, kept || moved ? step.with(new Step.Copy(file.target())) : step);
            } else if (step.step() != Step.Plain.KEEP && !(kept && step.step() == Step.Plain.ARCHIVE)) {
                steps.add(0, step);
            }
            moved |= step.step().kind().removes();
        }
        if (!kept && !moved) {
            asked.stream()
                    .filter(MailboxSteps::takesOut)
                    .findFirst()
                    .ifPresent(leaves -> steps.add(leaves.with(Step.Plain.TRASH).withNothingSent()));
        }
        return steps;
    }

    private static boolean takesOut(PlannedStep planned) {
        return planned.step().kind().removes() || planned.step() instanceof Step.HandOn handOn && handOn.leaves();
    }
}
