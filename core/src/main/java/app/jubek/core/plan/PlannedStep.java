package app.jubek.core.plan;

import app.jubek.core.rule.RuleId;
import app.jubek.core.step.Step;
import java.util.List;

/**
 * One step to be done with one message.
 *
 * @param ordinal position of the step in its rule, from 0
 * @param alsoBy names of later rules that asked for the same
 */
public record PlannedStep(RuleId rule, int ruleVersion, String ruleName, int ordinal, Step step, List<String> alsoBy) {
    public PlannedStep {
        alsoBy = List.copyOf(alsoBy);
    }

    public PlannedStep(RuleId rule, int ruleVersion, String ruleName, int ordinal, Step step) {
        this(rule, ruleVersion, ruleName, ordinal, step, List.of());
    }
}
