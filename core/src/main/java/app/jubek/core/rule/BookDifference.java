package app.jubek.core.rule;

import app.jubek.core.wording.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What changed from one version of a rule book to the next, as statements. */
public final class BookDifference {
    private final RuleBook before;
    private final RuleBook after;
    private final List<Statement> changes = new ArrayList<>();

    private BookDifference(RuleBook before, RuleBook after) {
        this.before = before;
        this.after = after;
    }

    /** One statement a change; empty when they say the same. */
    public static List<Statement> between(RuleBook before, RuleBook after) {
        return new BookDifference(before, after).changes();
    }

    private List<Statement> changes() {
        after.all()
                .forEach(rule -> before.find(rule.id()).ifPresentOrElse(old -> compare(old, rule), () -> added(rule)));
        before.all().stream()
                .filter(rule -> after.find(rule.id()).isEmpty())
                .forEach(rule -> say(rule, RulePhrase.REMOVED));
        moved().ifPresent(changes::add);
        if (!before.fence().equals(after.fence())) {
            changes.add(RulePhrase.FENCE_CHANGED.with());
        }
        return List.copyOf(changes);
    }

    private void say(Rule rule, RulePhrase what) {
        changes.add(what.with(rule.name()));
    }

    private void added(Rule rule) {
        say(rule, rule.on() ? RulePhrase.ADDED_ON : RulePhrase.ADDED_PAUSED);
    }

    private void compare(Rule old, Rule now) {
        if (!old.name().equals(now.name())) {
            changes.add(RulePhrase.RENAMED.with(now.name(), old.name()));
        }
        if (!old.statement().equals(now.statement())) {
            changes.add(RulePhrase.READS_NOW.with(now.name(), now.statement()));
        } else if (!old.steps().equals(now.steps())) {
            say(now, RulePhrase.DOES_IT_OTHERWISE);
        }
        if (old.ending() != now.ending()) {
            say(now, now.ends() ? RulePhrase.STOPS_NOW : RulePhrase.CONTINUES_NOW);
        }
        if (old.on() != now.on()) {
            say(now, now.on() ? RulePhrase.SWITCHED_ON : RulePhrase.PAUSED);
        }
    }

    /** Another order of the rules that both versions have. */
    private Optional<Statement> moved() {
        List<RuleId> was = common(before, after);
        List<RuleId> is = common(after, before);
        for (int i = 0; i < is.size(); i++) {
            if (!was.get(i).equals(is.get(i))) {
                return after.find(is.get(i)).map(rule -> RulePhrase.MOVED.with(rule.name()));
            }
        }
        return Optional.empty();
    }

    private static List<RuleId> common(RuleBook of, RuleBook with) {
        return of.rules().stream()
                .map(Rule::id)
                .filter(id -> with.find(id).isPresent())
                .toList();
    }
}
