package app.jubek.core.decide;

import app.jubek.core.criteria.Blame;
import app.jubek.core.criteria.Hits;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;

/** One message's way down the rules: the one place where order and ending are decided. */
public final class Course {
    private final RuleBook book;

    public Course(RuleBook book) {
        this.book = book;
    }

    /** The outcome of every rule, in order. */
    public List<Outcome> run(Hits hits, Predicate<Rule> inForce) {
        List<Outcome> outcomes = new ArrayList<>(book.rules().size());
        Optional<Rule> endedBy = Optional.empty();
        for (Rule rule : book.rules()) {
            if (endedBy.isPresent()) {
                outcomes.add(new Outcome.NotReached(rule, endedBy.get()));
                continue;
            }
            Outcome outcome = judge(rule, hits, inForce);
            outcomes.add(outcome);
            if (outcome.isPicked() && rule.ends()) {
                endedBy = Optional.of(rule);
            }
        }
        return outcomes;
    }

    private static Outcome judge(Rule rule, Hits hits, Predicate<Rule> inForce) {
        if (!rule.on()) {
            return new Outcome.Off(rule);
        }
        if (!inForce.test(rule)) {
            return new Outcome.NotYetOn(rule);
        }
        if (!rule.picksOut().holds(hits)) {
            return new Outcome.NotMatched(rule, Blame.forFailing(rule.picksOut(), hits));
        }
        if (rule.leavesOut().holds(hits)) {
            return new Outcome.Spared(rule, Blame.forHolding(rule.leavesOut(), hits));
        }
        return new Outcome.Picked(rule);
    }
}
