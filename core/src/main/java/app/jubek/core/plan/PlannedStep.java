package app.jubek.core.plan;

import app.jubek.core.rule.RuleId;
import app.jubek.core.step.Step;

/**
 * One step to be done with one message.
 *
 * @param ordinal position of the step in its rule, from 0
 */
public record PlannedStep(RuleId rule, int ruleVersion, String ruleName, int ordinal, Step step) {}
