package app.jubek.core.rule;

import app.jubek.core.text.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What changed from one version of a rule book to the next, in words. */
public final class BookDifference {
    private final RuleBook before;
    private final RuleBook after;
    private final List<String> changes = new ArrayList<>();

    private BookDifference(RuleBook before, RuleBook after) {
        this.before = before;
        this.after = after;
    }

    /** One sentence a change; empty when they say the same. */
    public static List<String> between(RuleBook before, RuleBook after) {
        return new BookDifference(before, after).changes();
    }

    private List<String> changes() {
        after.all()
                .forEach(rule -> before.find(rule.id()).ifPresentOrElse(old -> compare(old, rule), () -> added(rule)));
        before.all().stream().filter(rule -> after.find(rule.id()).isEmpty()).forEach(rule -> say(rule, "is removed"));
        moved().ifPresent(changes::add);
        if (!before.fence().equals(after.fence())) {
            changes.add("The fence is changed.");
        }
        return List.copyOf(changes);
    }

    private void say(Rule rule, String what) {
        changes.add(Words.quoted(rule.name()) + " " + what + ".");
    }

    private void added(Rule rule) {
        say(rule, "is added, " + (rule.on() ? "on" : "paused"));
    }

    private void compare(Rule old, Rule now) {
        if (!old.name().equals(now.name())) {
            say(now, "was called " + Words.quoted(old.name()));
        }
        if (!old.inWords().equals(now.inWords())) {
            changes.add(Words.quoted(now.name()) + " reads now: " + now.inWords());
        } else if (!old.steps().equals(now.steps())) {
            say(now, "does it in another way");
        }
        if (old.ending() != now.ending()) {
            say(now, now.ends() ? "ends the run" : "lets later rules go on");
        }
        if (old.on() != now.on()) {
            say(now, now.on() ? "is switched on" : "is paused");
        }
    }

    /** Another order of the rules that both versions have. */
    private Optional<String> moved() {
        List<RuleId> was = common(before, after);
        List<RuleId> is = common(after, before);
        for (int i = 0; i < is.size(); i++) {
            if (!was.get(i).equals(is.get(i))) {
                return after.find(is.get(i))
                        .map(rule -> Words.quoted(rule.name()) + " and others are in another order.");
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
