package app.jubek.core.rehearsal;

import app.jubek.core.corpus.Corpus;
import app.jubek.core.evidence.PastRun;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.rule.RuleId;
import app.jubek.core.schedule.Opening;
import app.jubek.core.step.StepKind;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Past messages that other rules would act on, or that another rule would answer, if one book took the place of another.
 *
 * @param changes the newest message first
 */
public record ChangesHands(List<Change> changes) {
    public ChangesHands {
        changes = List.copyOf(changes);
    }

    /**
     * @param at the message's place in the evidence
     * @param before the rules that act on it now, in order
     * @param after and those that would
     */
    public record Change(int at, List<Rule> before, List<Rule> after) {}

    public static ChangesHands between(RuleBook before, RuleBook after, Corpus.View past, Opening opening) {
        PastRun now = new PastRun(before, past, opening);
        PastRun then = new PastRun(after, past, opening);
        List<Change> changes = new ArrayList<>();
        for (int at = past.size() - 1; at >= 0; at--) {
            List<Rule> does = now.trace(at).picking();
            List<Rule> would = then.trace(at).picking();
            if (!ids(does).equals(ids(would)) || !answers(does).equals(answers(would))) {
                changes.add(new Change(at, does, would));
            }
        }
        return new ChangesHands(changes);
    }

    private static Set<RuleId> ids(List<Rule> rules) {
        Set<RuleId> ids = new HashSet<>();
        rules.forEach(rule -> ids.add(rule.id()));
        return ids;
    }

    /** Of several rules that answer only the first does. */
    private static Optional<RuleId> answers(List<Rule> rules) {
        return rules.stream()
                .filter(rule -> rule.steps().stream().anyMatch(step -> step.kind() == StepKind.REPLY))
                .findFirst()
                .map(Rule::id);
    }
}
