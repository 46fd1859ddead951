package app.jubek.core.decide;

import app.jubek.core.criteria.Blame;
import app.jubek.core.criteria.Hits;
import app.jubek.core.rule.Rule;
import java.util.AbstractList;
import java.util.List;
import java.util.Optional;

/** The outcome of every rule, in order: what ended the run is told here, and why is worked out when it is asked for. */
public final class Trace extends AbstractList<Outcome> {
    private final List<Rule> rules;
    private final Verdict[] verdicts;
    private final int course;
    private final int endedBy;
    private final Hits hits;

    /**
     * @param verdicts one for each rule
     * @param course how many of the rules form the course; the rest are its tail
     */
    Trace(List<Rule> rules, Verdict[] verdicts, int course, Hits hits) {
        this.rules = rules;
        this.verdicts = verdicts;
        this.course = course;
        this.hits = hits;
        int at = 0;
        while (at < course && !(verdicts[at] == Verdict.PICKED && rules.get(at).ends())) {
            at++;
        }
        endedBy = at;
    }

    @Override
    public int size() {
        return rules.size();
    }

    public boolean isPicked(int at) {
        return verdicts[at] == Verdict.PICKED && isReached(at);
    }

    public boolean isSpared(int at) {
        return verdicts[at] == Verdict.SPARED && isReached(at);
    }

    public Optional<Rule> endedBy() {
        return endedBy < course ? Optional.of(rules.get(endedBy)) : Optional.empty();
    }

    private boolean isReached(int at) {
        return at <= endedBy || at >= course;
    }

    @Override
    public Outcome get(int at) {
        Rule rule = rules.get(at);
        if (!isReached(at)) {
            return new Outcome.NotReached(rule, rules.get(endedBy));
        }
        return switch (verdicts[at]) {
            case PICKED -> new Outcome.Picked(rule);
            case SPARED -> new Outcome.Spared(rule, Blame.forHolding(rule.leavesOut(), hits));
            case NOT_MATCHED -> new Outcome.NotMatched(rule, Blame.forFailing(rule.picksOut(), hits));
            case OFF -> new Outcome.Off(rule);
            case RESTING -> new Outcome.Resting(rule);
            case NOT_YET_ON -> new Outcome.NotYetOn(rule);
            case BROKEN -> new Outcome.Broken(rule);
        };
    }
}
