package app.jubek.core.plan;

import app.jubek.core.rule.RuleId;
import app.jubek.core.step.Step;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Rules of a plan that move a message only once their own answer has left. */
public record AfterAnswer(Set<RuleId> rules) {
    /** An answer that is held may still be given, so what waits for it waits. */
    public static AfterAnswer of(List<PlannedStep> planned, List<NotDone> notDone) {
        return new AfterAnswer(Stream.concat(
                        planned.stream(),
                        notDone.stream().filter(NotDone::waits).map(NotDone::planned))
                .filter(one -> one.step() instanceof Step.Reply reply
                        && reply.options().keepsUnanswered())
                .map(PlannedStep::rule)
                .collect(Collectors.toSet()));
    }

    public boolean isAwaitedBy(PlannedStep step) {
        return step.step().kind().removes() && rules.contains(step.rule());
    }
}
