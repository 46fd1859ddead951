package app.jubek.core.decide;

import app.jubek.core.plan.NotDone;
import app.jubek.core.plan.PlannedStep;
import app.jubek.core.rule.Rule;
import app.jubek.core.step.Step;
import app.jubek.core.step.StepKind;
import app.jubek.core.text.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What is to be done with one message, and why.
 *
 * @param planned in the order in which they are done
 * @param notDone steps held or withheld
 * @param notes what of the message was not read or not looked through
 * @param trace the outcome of every rule, in order
 */
public record Decision(List<PlannedStep> planned, List<NotDone> notDone, List<String> notes, Trace trace) {
    public Decision {
        planned = List.copyOf(planned);
        notDone = List.copyOf(notDone);
        notes = List.copyOf(notes);
    }

    /** Whether the message stays in the inbox: unless something takes it out and nothing keeps it. */
    public boolean staysInInbox() {
        return planned.stream().anyMatch(p -> p.step().kind() == StepKind.KEEP)
                || planned.stream().noneMatch(Decision::takesOut);
    }

    private static boolean takesOut(PlannedStep planned) {
        return planned.step().kind().removes() || planned.step() instanceof Step.HandOn handOn && handOn.leaves();
    }

    /**
     * The steps as a mail server can do them: a message moves at most once, so of several folders all but the last get a
     * copy, and so do all of them when the message is kept; what leaves the inbox once it was handed on, and is filed
     * nowhere, goes to the trash.
     */
    public List<PlannedStep> asCarriedOut() {
        boolean kept = planned.stream().anyMatch(p -> p.step() == Step.Plain.KEEP);
        boolean moved = false;
        List<PlannedStep> steps = new ArrayList<>();
        for (int i = planned.size() - 1; i >= 0; i--) {
            PlannedStep step = planned.get(i);
            boolean files = step.step() instanceof Step.File;
            if (files) {
                steps.add(0, kept || moved ? copied(step) : step);
            } else if (step.step() != Step.Plain.KEEP && !(kept && step.step() == Step.Plain.ARCHIVE)) {
                steps.add(0, step);
            }
            moved |= step.step().kind().removes();
        }
        if (!kept && !moved) {
            planned.stream()
                    .filter(Decision::takesOut)
                    .findFirst()
                    .ifPresent(leaves -> steps.add(leaves.with(Step.Plain.TRASH).withNothingSent()));
        }
        return steps;
    }

    private static PlannedStep copied(PlannedStep filed) {
        return filed.with(new Step.Copy(((Step.File) filed.step()).into()));
    }

    /** The name of the rule that ended the run. */
    public Optional<String> endedBy() {
        return trace.endedBy().map(Rule::name);
    }

    /** The whole decision in plain English, one line for each rule and each step. */
    public List<String> inWords() {
        Stream<String> read = notes.stream().map(note -> "Note on the message: " + note + ".");
        Stream<String> rules = trace.stream().map(o -> "“" + o.rule().name() + "”: " + o.inWords() + ".");
        Stream<String> done =
                planned.stream().map(p -> "To be " + p.done() + " by “" + p.ruleName() + "”" + also(p) + ".");
        Stream<String> not = notDone.stream()
                .map(n -> "Not " + n.planned().done() + " by “" + n.planned().ruleName() + "” — "
                        + (n.waits() ? "held: " : "withheld: ") + n.why() + ".");
        String inbox = staysInInbox() ? "It stays in the inbox." : "It leaves the inbox.";
        return Stream.of(read, rules, done, not, Stream.of(inbox))
                .flatMap(s -> s)
                .toList();
    }

    private static String also(PlannedStep step) {
        return step.alsoBy().isEmpty()
                ? ""
                : " (" + Words.and(step.alsoBy().stream().map(Words::quoted).toList()) + " asked for it too)";
    }
}
