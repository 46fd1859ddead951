package app.jubek.core.plan;

import app.jubek.core.rule.RuleId;
import app.jubek.core.step.Step;
import app.jubek.core.wording.Statement;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * One step to be done with one message.
 *
 * @param ordinal position of the step in its rule, from 0
 * @param alsoBy names of later rules that asked for the same
 * @param sending of a step that leaves, what goes out and to whom
 */
public record PlannedStep(
        RuleId rule,
        int ruleVersion,
        String ruleName,
        int ordinal,
        Step step,
        List<String> alsoBy,
        Optional<Sending> sending) {
    public PlannedStep {
        alsoBy = List.copyOf(alsoBy);
    }

    public PlannedStep(RuleId rule, int ruleVersion, String ruleName, int ordinal, Step step) {
        this(rule, ruleVersion, ruleName, ordinal, step, List.of(), Optional.empty());
    }

    public PlannedStep with(Step other) {
        return new PlannedStep(rule, ruleVersion, ruleName, ordinal, other, alsoBy, sending);
    }

    public PlannedStep withNothingSent() {
        return new PlannedStep(rule, ruleVersion, ruleName, ordinal, step, alsoBy, Optional.empty());
    }

    public PlannedStep with(Sending out) {
        return new PlannedStep(rule, ruleVersion, ruleName, ordinal, step, alsoBy, Optional.of(out));
    }

    /** Another rule asked for it, too; a rule is named once, and the first not again. */
    public PlannedStep alsoBy(String other) {
        return ruleName.equals(other) || alsoBy.contains(other)
                ? this
                : new PlannedStep(
                        rule,
                        ruleVersion,
                        ruleName,
                        ordinal,
                        step,
                        Stream.concat(alsoBy.stream(), Stream.of(other)).toList(),
                        sending);
    }

    /** As a participle: "forwarded to education@ostrel-gardens.example". */
    public Statement statement() {
        return sending.filter(Sending::isCopy)
                .map(copy -> PlannedPhrase.COPY_OF_REPLY_TO.with(copy.to().address()))
                .orElse(step.statement());
    }
}
