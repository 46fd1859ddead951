package app.jubek.core.rule;

import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.Everything;
import app.jubek.core.step.Step;
import app.jubek.core.step.StepKind;
import java.util.List;

/** Whether rules further down still see a message this rule took. */
public enum Ending {
    CONTINUE,
    STOP_HERE;

    /**
     * A rule that only hands on or marks goes on; one that files, gets rid of it or answers ends. One that answers
     * everybody, as in an absence, keeps no other rule from its work.
     */
    public static Ending presetFor(Criterion picksOut, List<Step> steps) {
        boolean onlyAnswers = steps.stream().map(Step::kind).noneMatch(StepKind::removes);
        if (picksOut instanceof Everything && onlyAnswers) {
            return CONTINUE;
        }
        boolean ends = steps.stream().map(Step::kind).anyMatch(kind -> kind.removes() || kind == StepKind.REPLY);
        return ends ? STOP_HERE : CONTINUE;
    }
}
