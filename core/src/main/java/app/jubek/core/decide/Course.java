package app.jubek.core.decide;

import app.jubek.core.criteria.Hits;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import java.util.List;
import java.util.function.Predicate;

/** One message's way down the rules, judged rule by rule. Order and ending are {@link Trace}'s. */
public final class Course {
    private final RuleBook book;

    public Course(RuleBook book) {
        this.book = book;
    }

    public Trace run(Hits hits, Predicate<Rule> inForce) {
        List<Rule> rules = book.all();
        Verdict[] verdicts = new Verdict[rules.size()];
        for (int i = 0; i < verdicts.length; i++) {
            verdicts[i] = judge(rules.get(i), hits, inForce);
        }
        return new Trace(rules, verdicts, book.rules().size(), hits);
    }

    private static Verdict judge(Rule rule, Hits hits, Predicate<Rule> inForce) {
        if (!rule.on()) {
            return Verdict.OFF;
        }
        if (!inForce.test(rule)) {
            return Verdict.NOT_YET_ON;
        }
        if (!rule.picksOut().holds(hits)) {
            return Verdict.NOT_MATCHED;
        }
        return rule.leavesOut().holds(hits) ? Verdict.SPARED : Verdict.PICKED;
    }
}
