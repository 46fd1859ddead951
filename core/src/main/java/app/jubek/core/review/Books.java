package app.jubek.core.review;

import app.jubek.core.rule.Ending;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.step.Step;
import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;

/** Changed books, as remedies need them. */
final class Books {
    private Books() {}

    static RuleBook with(RuleBook book, Rule rule, UnaryOperator<Rule> change) {
        return new RuleBook(
                book.rules().stream()
                        .map(r -> r.id().equals(rule.id()) ? change.apply(r) : r)
                        .toList(),
                book.fence(),
                book.tail());
    }

    static RuleBook without(RuleBook book, Rule rule) {
        return new RuleBook(
                book.rules().stream().filter(r -> !r.id().equals(rule.id())).toList(), book.fence(), book.tail());
    }

    static RuleBook movedAbove(RuleBook book, Rule rule, Rule other) {
        List<Rule> rules = new ArrayList<>(book.rules());
        rules.remove(rule);
        rules.add(rules.indexOf(other), rule);
        return new RuleBook(rules, book.fence(), book.tail());
    }

    static Rule doing(Rule r, List<Step> steps) {
        boolean on = r.on() && !steps.isEmpty();
        return new Rule(
                r.id(), r.version(), r.name(), r.picksOut(), r.leavesOut(), steps, r.ending(), r.schedule(), on);
    }

    static Rule ending(Rule r) {
        return new Rule(
                r.id(),
                r.version(),
                r.name(),
                r.picksOut(),
                r.leavesOut(),
                r.steps(),
                Ending.STOP_HERE,
                r.schedule(),
                r.on());
    }
}
