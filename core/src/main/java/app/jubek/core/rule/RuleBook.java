package app.jubek.core.rule;

import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.Nothing;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * The ordered rules of one mailbox.
 *
 * @param fence what must never leave the mailbox; {@link Nothing} for no fence
 */
public record RuleBook(List<Rule> rules, Criterion fence) {
    public RuleBook {
        rules = List.copyOf(rules);
        Set<RuleId> seen = new HashSet<>();
        for (Rule rule : rules) {
            if (!seen.add(rule.id())) {
                throw new IllegalArgumentException(
                        "two rules have the id " + rule.id().value());
            }
        }
    }

    public static RuleBook empty() {
        return of(List.of());
    }

    public static RuleBook of(List<Rule> rules) {
        return new RuleBook(rules, new Nothing());
    }

    /** What stands against carrying this book out, in plain words; empty when nothing does. */
    public List<String> faults() {
        return rules.stream()
                .filter(rule -> rule.on() && rule.steps().isEmpty())
                .map(rule -> "The rule \"" + rule.name() + "\" does nothing: add a step, or keep it paused.")
                .toList();
    }

    public Optional<Rule> find(RuleId id) {
        return rules.stream().filter(rule -> rule.id().equals(id)).findFirst();
    }
}
