package app.jubek.core.plan;

import app.jubek.core.rule.RuleId;
import app.jubek.core.step.Release;
import app.jubek.core.step.Step;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What of a plan waits until an answer has left: moves of rules that say so, and copies of an answer that leaves later. */
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
        boolean copy = step.sending().filter(Sending::isCopy).isPresent();
        return copy
                ? step.step().release() != Release.Plain.AT_ONCE
                : step.step().kind().removes() && rules.contains(step.rule());
    }
}
