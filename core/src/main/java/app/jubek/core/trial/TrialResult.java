package app.jubek.core.trial;

import app.jubek.core.decide.Decision;
import app.jubek.core.decide.Outcome;
import app.jubek.core.plan.NotDone;
import app.jubek.core.plan.PlannedStep;
import app.jubek.core.rule.Rule;
import app.jubek.core.step.Step;
import app.jubek.core.wording.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What came of a trial.
 *
 * @param unmet what of its expectations is not so
 */
public record TrialResult(Trial trial, Decision decision, List<Expectation> unmet, Names names) {
    /**
     * One thing that would happen.
     *
     * @param against whether it must not
     */
    public record Happening(Statement what, boolean against) {}

    static TrialResult of(Trial trial, Decision decision, Names names) {
        List<Expectation> unmet = trial.expectations().stream()
                .filter(expected -> !expected.isMet(decision))
                .toList();
        return new TrialResult(trial, decision, unmet, names);
    }

    public boolean holds() {
        return unmet.isEmpty();
    }

    /** What would happen, in order: who picks it, what is done and what is not, and where it stays. */
    public List<Happening> happens() {
        List<Happening> all = new ArrayList<>();
        List<Rule> picking = decision.trace().picking();
        picking.forEach(rule -> all.add(new Happening(
                TrialPhrase.PICKED_BY.with(rule.name()),
                isUnwanted(Expectation.Fate.PICKED_BY, rule.id().value()))));
        if (picking.isEmpty()) {
            all.add(new Happening(TrialPhrase.PICKED_BY_NONE.with(), isMissed(Expectation.Fate.PICKED_BY)));
        }
        decision.planned().stream()
                .filter(planned -> planned.step() != Step.Plain.KEEP)
                .forEach(planned -> all.add(new Happening(done(planned), isUnwanted(planned))));
        decision.notDone().forEach(not -> all.add(new Happening(notDone(not), false)));
        Statement inbox = (decision.staysInInbox() ? TrialPhrase.STAYS_IN_INBOX : TrialPhrase.LEAVES_INBOX).with();
        all.add(new Happening(inbox, unmet.stream().anyMatch(each -> each.fate() == Expectation.Fate.IN_INBOX)));
        return List.copyOf(all);
    }

    /** What the rules that the trial speaks of say of its message. */
    public List<Statement> because() {
        return decision.trace().stream()
                .filter(outcome -> trial.rules().contains(outcome.rule().id()))
                .map(this::said)
                .toList();
    }

    /** Of one rule alone its name needn't be said. */
    private Statement said(Outcome outcome) {
        if (trial.rules().size() == 1) {
            return outcome.statement();
        }
        return TrialPhrase.RULE_SAYS.with(outcome.rule().name(), outcome.statement());
    }

    private Statement done(PlannedStep planned) {
        Optional<String> template = planned.step() instanceof Step.Reply reply
                        && planned.sending().filter(sending -> sending.isCopy()).isEmpty()
                ? reply.template().map(id -> names.template(id.value()))
                : Optional.empty();
        return template.map(TrialPhrase.REPLIED_WITH::with).orElseGet(planned::statement);
    }

    private static Statement notDone(NotDone not) {
        return TrialPhrase.NOT_DONE.with(not.planned().statement(), not.statement());
    }

    private boolean isUnwanted(Expectation.Fate fate, String of) {
        return unmet.contains(new Expectation(fate, of, false));
    }

    private boolean isUnwanted(PlannedStep planned) {
        return unmet.stream().anyMatch(each -> !each.must() && each.isDoneBy(planned));
    }

    private boolean isMissed(Expectation.Fate fate) {
        return unmet.stream().anyMatch(each -> each.must() && each.fate() == fate);
    }
}
