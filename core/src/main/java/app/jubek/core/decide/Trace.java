package app.jubek.core.decide;

import app.jubek.core.criteria.Hits;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import java.util.AbstractList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/** The outcome of every rule, in order: what ended the run is told here, and why is worked out when it is asked for. */
public final class Trace extends AbstractList<Outcome> {
    private final List<Rule> rules;
    private final Verdict[] verdicts;
    private final int ruleCount;
    private final int endedBy;
    private final Hits hits;

    /**
     * @param verdicts one for each rule
     * @param ruleCount how many come before the tail
     */
    Trace(List<Rule> rules, Verdict[] verdicts, int ruleCount, Hits hits) {
        this.rules = rules;
        this.verdicts = verdicts;
        this.ruleCount = ruleCount;
        this.hits = hits;
        int at = 0;
        while (at < ruleCount
                && !(verdicts[at] == Verdict.PICKED && rules.get(at).ends())) {
            at++;
        }
        endedBy = at;
    }

    /** Every rule judged by itself. {@link CompiledBook} judges many messages at less cost, and the same. */
    public static Trace of(RuleBook book, Hits hits, Silence silence) {
        List<Rule> rules = book.all();
        Verdict[] verdicts = rules.stream().map(rule -> Verdict.of(rule, hits)).toArray(Verdict[]::new);
        silence.apply(rules, verdicts);
        return new Trace(rules, verdicts, book.rules().size(), hits);
    }

    /** The rules that act on the message, in order. */
    public List<Rule> picking() {
        return IntStream.range(0, size())
                .filter(this::isPicked)
                .mapToObj(rules::get)
                .toList();
    }

    @Override
    public int size() {
        return rules.size();
    }

    public boolean isPicked(int at) {
        return verdicts[at] == Verdict.PICKED && isReached(at);
    }

    public boolean isExcluded(int at) {
        return verdicts[at] == Verdict.EXCLUDED && isReached(at);
    }

    public Optional<Rule> endedBy() {
        return endedBy < ruleCount ? Optional.of(rules.get(endedBy)) : Optional.empty();
    }

    private boolean isReached(int at) {
        return at <= endedBy || at >= ruleCount;
    }

    @Override
    public Outcome get(int at) {
        Rule rule = rules.get(at);
        if (!isReached(at)) {
            return new Outcome.NotReached(rule, rules.get(endedBy));
        }
        return switch (verdicts[at]) {
            case PICKED -> new Outcome.Picked(rule);
            case EXCLUDED -> new Outcome.Excluded(rule, Blame.forHolding(rule.leavesOut(), hits));
            case NOT_MATCHED -> new Outcome.NotMatched(rule, Blame.forFailing(rule.picksOut(), hits));
            case OFF -> new Outcome.Off(rule);
            case RESTING -> new Outcome.Resting(rule);
            case NOT_YET_ON -> new Outcome.NotYetOn(rule);
            case BROKEN -> new Outcome.Broken(rule);
        };
    }
}
