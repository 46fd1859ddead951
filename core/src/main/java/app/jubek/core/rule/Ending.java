package app.jubek.core.rule;

import app.jubek.core.step.Step;
import app.jubek.core.step.StepKind;
import java.util.List;

/** Whether rules further down still see a message this rule took. */
public enum Ending {
    CONTINUE,
    STOP_HERE;

    /** A rule that only hands on or marks goes on; one that files, gets rid of it or answers ends. */
    public static Ending presetFor(List<Step> steps) {
        boolean ends = steps.stream().map(Step::kind).anyMatch(kind -> kind.removes() || kind == StepKind.REPLY);
        return ends ? STOP_HERE : CONTINUE;
    }
}
