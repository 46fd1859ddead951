package app.jubek.core.catchup;

import app.jubek.core.corpus.PastMessage;
import app.jubek.core.plan.PlannedStep;
import app.jubek.core.wording.Statement;
import java.util.List;

/** What is to be done with one message, and what is left out. */
public record Task(PastMessage message, List<PlannedStep> steps, List<Left> left) {
    public Task {
        steps = List.copyOf(steps);
        left = List.copyOf(left);
    }

    /** A step that is not taken. */
    public record Left(PlannedStep step, Statement why) {}
}
