package app.jubek.core.decide;

import app.jubek.core.plan.NotDone;
import app.jubek.core.plan.PlannedStep;
import app.jubek.core.step.StepKind;
import java.util.List;
import java.util.stream.Stream;

/**
 * What is to be done with one message, and why.
 *
 * @param planned in the order in which they are done
 * @param notDone steps held or withheld
 * @param trace the outcome of every rule, in order
 */
public record Decision(List<PlannedStep> planned, List<NotDone> notDone, List<Outcome> trace) {
    public Decision {
        planned = List.copyOf(planned);
        notDone = List.copyOf(notDone);
        trace = List.copyOf(trace);
    }

    /** Whether the message stays in the inbox. */
    public boolean staysInInbox() {
        return planned.stream().noneMatch(p -> p.step().kind() == StepKind.FILE);
    }

    /** The whole decision in plain English, one line for each rule and each step. */
    public List<String> inWords() {
        Stream<String> rules = trace.stream().map(o -> "“" + o.rule().name() + "”: " + o.inWords() + ".");
        Stream<String> done = planned.stream().map(p -> "To be " + p.step().done() + " by “" + p.ruleName() + "”.");
        Stream<String> not = notDone.stream()
                .map(n -> "Not " + n.planned().step().done() + " by “"
                        + n.planned().ruleName() + "” — " + (n.waits() ? "held: " : "withheld: ") + n.why() + ".");
        String inbox = staysInInbox() ? "It stays in the inbox." : "It leaves the inbox.";
        return Stream.of(rules, done, not, Stream.of(inbox)).flatMap(s -> s).toList();
    }
}
