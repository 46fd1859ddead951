package app.jubek.core.decide;

import app.jubek.core.criteria.Hits;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/** One message's way down the rules, judged rule by rule. Order and ending are {@link Trace}'s. */
public final class Course {
    private final RuleBook book;

    public Course(RuleBook book) {
        this.book = book;
    }

    /** With the say of all rules that are on. */
    public Trace run(Hits hits) {
        return run(hits, rule -> Optional.empty());
    }

    /**
     * @param silence why a rule that is on has no say in the message
     */
    public Trace run(Hits hits, Function<Rule, Optional<Verdict>> silence) {
        List<Rule> rules = book.all();
        Verdict[] verdicts = new Verdict[rules.size()];
        for (int i = 0; i < verdicts.length; i++) {
            verdicts[i] = judge(rules.get(i), hits, silence);
        }
        return new Trace(rules, verdicts, book.rules().size(), hits);
    }

    private static Verdict judge(Rule rule, Hits hits, Function<Rule, Optional<Verdict>> silence) {
        if (!rule.on()) {
            return Verdict.OFF;
        }
        Optional<Verdict> silent = silence.apply(rule);
        if (silent.isPresent()) {
            return silent.get();
        }
        if (!rule.picksOut().holds(hits)) {
            return Verdict.NOT_MATCHED;
        }
        return rule.leavesOut().holds(hits) ? Verdict.SPARED : Verdict.PICKED;
    }
}
