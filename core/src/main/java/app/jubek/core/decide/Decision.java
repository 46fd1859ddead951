package app.jubek.core.decide;

import app.jubek.core.plan.NotDone;
import app.jubek.core.plan.PlannedStep;
import app.jubek.core.rule.Rule;
import app.jubek.core.wording.Argument;
import app.jubek.core.wording.Phrase;
import app.jubek.core.wording.Statement;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What is to be done with one message, and why.
 *
 * @param planned what is carried out, in this order
 * @param notDone steps held or withheld
 * @param staysInInbox unless something takes the message out and nothing keeps it
 * @param notes what of the message was not read or not looked through
 * @param trace the outcome of every rule, in order
 */
public record Decision(
        List<PlannedStep> planned, List<NotDone> notDone, boolean staysInInbox, List<Statement> notes, Trace trace) {
    public Decision {
        planned = List.copyOf(planned);
        notDone = List.copyOf(notDone);
        notes = List.copyOf(notes);
    }

    /** The name of the rule that stopped the run. */
    public Optional<String> endedBy() {
        return trace.endedBy().map(Rule::name);
    }

    /** The whole decision, one statement for each rule and each step. */
    public List<Statement> statements() {
        Stream<Statement> read = notes.stream().map(DecisionLine.NOTE::with);
        Stream<Statement> rules =
                trace.stream().map(o -> DecisionLine.RULE_LINE.with(o.rule().name(), o.statement()));
        Stream<Statement> done = planned.stream().map(Decision::planned);
        Stream<Statement> not = notDone.stream().map(Decision::notDone);
        Stream<Statement> inbox =
                Stream.of((staysInInbox ? DecisionLine.STAYS_IN_INBOX : DecisionLine.LEAVES_INBOX).with());
        return Stream.of(read, rules, done, not, inbox).flatMap(s -> s).toList();
    }

    private static Statement planned(PlannedStep step) {
        return step.alsoBy().isEmpty()
                ? DecisionLine.TO_BE_DONE.with(step.statement(), step.ruleName())
                : DecisionLine.TO_BE_DONE_FOR_SEVERAL.with(
                        step.statement(),
                        step.ruleName(),
                        Argument.and(step.alsoBy().stream().map(Phrase::quoted).toList()));
    }

    private static Statement notDone(NotDone not) {
        return (not.waits() ? DecisionLine.HELD : DecisionLine.WITHHELD)
                .with(not.planned().statement(), not.planned().ruleName(), not.statement());
    }
}
