package app.jubek.core.trial;

import app.jubek.core.decide.CompiledBook;
import app.jubek.core.decide.DecisionContext;
import app.jubek.core.decide.Engine;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.rule.RuleId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Trials against a rule book. The rules that a trial speaks of are judged as if they were on, so that they can be tried
 * before; the others as they are.
 */
public final class TrialRun {
    private final RuleBook book;
    private final DecisionContext at;
    private final Names names;
    private final Set<RuleId> paused;
    private final Map<Set<RuleId>, CompiledBook> compiled = new HashMap<>();

    private TrialRun(RuleBook book, DecisionContext at) {
        this.book = book;
        this.at = at;
        this.names = new Names(book, at.prepared());
        this.paused =
                book.all().stream().filter(rule -> !rule.on()).map(Rule::id).collect(Collectors.toSet());
    }

    /**
     * @param at of the mailbox; the context of each message takes its place
     */
    public static TrialRun over(RuleBook book, DecisionContext at) {
        return new TrialRun(book, at);
    }

    /**
     * @param at of the mailbox; the context of each message takes its place
     */
    public static List<TrialResult> of(RuleBook book, List<Trial> trials, DecisionContext at) {
        TrialRun run = over(book, at);
        return trials.stream().map(run::result).toList();
    }

    public TrialResult result(Trial trial) {
        Set<RuleId> tried = trial.rules().stream().filter(paused::contains).collect(Collectors.toSet());
        CompiledBook judging = compiled.computeIfAbsent(tried, on -> CompiledBook.of(book.withOn(on)));
        return TrialResult.of(
                trial,
                Engine.decide(
                        judging,
                        trial.seen().message(),
                        at.of(trial.seen().context().atArrival())),
                names);
    }
}
