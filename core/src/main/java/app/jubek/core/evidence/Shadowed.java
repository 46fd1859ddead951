package app.jubek.core.evidence;

import app.jubek.core.corpus.Corpus;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.rule.RuleId;
import app.jubek.core.schedule.Opening;
import app.jubek.core.step.StepKind;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A rule that past messages would no longer reach, or that would no longer answer them, if another rule were as it is
 * edited.
 *
 * @param answers whether it would only no longer answer them: of several rules that answer the first does
 */
public record Shadowed(Rule rule, boolean answers, int messages) {
    private record Key(RuleId rule, boolean answers) {}

    /**
     * @param book as it is live
     * @param since older messages do not count
     * @return those that most messages would be lost to, first
     */
    public static List<Shadowed> of(RuleBook book, Evidence edited, Corpus.View past, Instant since, Opening opening) {
        PastRun live = new PastRun(book, past, opening);
        Map<Key, Shadowed> found = new LinkedHashMap<>();
        for (MessageResult result : edited.results()) {
            if (result.counters().contains(Counter.PICKED)
                    && !past.message(result.at()).received().isBefore(since)) {
                List<Rule> does = live.trace(result.at()).picking();
                List<Rule> would = edited.takenBy(result);
                lost(does, would)
                        .forEach(lost -> found.merge(
                                new Key(lost.rule().id(), lost.answers()),
                                lost,
                                (one, other) -> new Shadowed(one.rule(), one.answers(), one.messages() + 1)));
            }
        }
        return found.values().stream()
                .sorted(Comparator.comparing(Shadowed::messages).reversed())
                .toList();
    }

    private static List<Shadowed> lost(List<Rule> does, List<Rule> would) {
        List<RuleId> ids = would.stream().map(Rule::id).toList();
        List<Shadowed> lost = new ArrayList<>();
        does.stream().filter(rule -> !ids.contains(rule.id())).forEach(rule -> lost.add(new Shadowed(rule, false, 1)));
        Optional<Rule> answers = answering(does);
        answers.filter(rule -> ids.contains(rule.id()))
                .filter(rule -> !answering(would).map(Rule::id).equals(Optional.of(rule.id())))
                .ifPresent(rule -> lost.add(new Shadowed(rule, true, 1)));
        return lost;
    }

    private static Optional<Rule> answering(List<Rule> rules) {
        return rules.stream()
                .filter(rule -> rule.steps().stream().anyMatch(step -> step.kind() == StepKind.REPLY))
                .findFirst();
    }
}
