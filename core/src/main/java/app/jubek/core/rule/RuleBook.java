package app.jubek.core.rule;

import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.Nothing;
import app.jubek.core.text.Limits;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * The ordered rules of one mailbox.
 *
 * @param fence what must never leave the mailbox; {@link Nothing} for no fence
 * @param tail rules that are looked at after the others, even when a rule ended it; their replies go only when no rule
 *     of the others asked for one
 */
public record RuleBook(List<Rule> rules, Criterion fence, List<Rule> tail) {
    public RuleBook {
        rules = List.copyOf(rules);
        tail = List.copyOf(tail);
        checkSize(all(rules, tail));
        Set<RuleId> seen = new HashSet<>();
        for (Rule rule : all(rules, tail)) {
            if (!seen.add(rule.id())) {
                throw new IllegalArgumentException(
                        "two rules have the id " + rule.id().value());
            }
        }
    }

    private static void checkSize(List<Rule> all) {
        Limits limits = Limits.standard();
        if (all.size() > limits.rules()) {
            throw new IllegalArgumentException("a rule book holds at most " + limits.rules()
                    + " rules, and this one has " + all.size() + ": remove some that do nothing any more");
        }
        int values = all.stream()
                .flatMap(rule -> Stream.of(rule.picksOut(), rule.leavesOut()))
                .flatMap(criterion -> criterion.tests().stream())
                .mapToInt(test -> test.terms().size())
                .sum();
        if (values > limits.values()) {
            throw new IllegalArgumentException("the criteria of a rule book hold at most " + limits.values()
                    + " values, and these have " + values + ": a domain may stand for many addresses");
        }
    }

    public RuleBook(List<Rule> rules, Criterion fence) {
        this(rules, fence, List.of());
    }

    /** The rules in their order and then those of the tail. */
    public List<Rule> all() {
        return tail.isEmpty() ? rules : all(rules, tail);
    }

    private static List<Rule> all(List<Rule> rules, List<Rule> tail) {
        return Stream.concat(rules.stream(), tail.stream()).toList();
    }

    public static RuleBook empty() {
        return of(List.of());
    }

    public static RuleBook of(List<Rule> rules) {
        return new RuleBook(rules, new Nothing());
    }

    /** What stands against carrying this book out, in plain words; empty when nothing does. */
    public List<String> faults() {
        return all().stream()
                .filter(rule -> rule.on() && rule.steps().isEmpty() && !rule.ends())
                .map(rule -> "The rule \"" + rule.name() + "\" does nothing: add a step, or keep it paused.")
                .toList();
    }

    /** The same with some of the rules switched on. */
    public RuleBook withOn(Set<RuleId> ids) {
        return new RuleBook(on(rules, ids), fence, on(tail, ids));
    }

    private static List<Rule> on(List<Rule> rules, Set<RuleId> ids) {
        return rules.stream()
                .map(rule -> ids.contains(rule.id()) ? rule.switched(true) : rule)
                .toList();
    }

    public Optional<Rule> find(RuleId id) {
        return all().stream().filter(rule -> rule.id().equals(id)).findFirst();
    }
}
