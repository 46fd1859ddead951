package app.jubek.core.exchange;

import app.jubek.core.address.MailAddress;
import app.jubek.core.decide.CompiledBook;
import app.jubek.core.decide.DecisionContext;
import app.jubek.core.outgoing.Composer;
import app.jubek.core.people.OwnSide;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.step.Step;
import app.jubek.core.step.StepKind;
import java.util.List;
import java.util.stream.Stream;

/**
 * A mailbox with its rules, as an exchange needs them.
 *
 * @param rules at a time at which each of them that is on is active
 * @param at with nobody answered yet and everybody outside having agreed
 */
public record MailboxHere(CompiledBook rules, DecisionContext at, Composer composer) {

    public static MailboxHere with(RuleBook book, DecisionContext at, Composer composer) {
        RuleBook always = new RuleBook(
                book.rules().stream().map(Rule::always).toList(),
                book.fence(),
                book.tail().stream().map(Rule::always).toList());
        return new MailboxHere(CompiledBook.of(always), at, composer);
    }

    public OwnSide own() {
        return at.own();
    }

    public MailAddress identity() {
        return own().identity();
    }

    /** The rules that are on and make something leave. */
    public Stream<Rule> sending() {
        return rules.book().all().stream().filter(Rule::on).filter(MailboxHere::sends);
    }

    private static boolean sends(Rule rule) {
        return rule.handsOn().findAny().isPresent() || replies(rule);
    }

    static boolean replies(Rule rule) {
        return rule.steps().stream().anyMatch(step -> step.kind() == StepKind.REPLY);
    }

    /** Everybody to whom a step hands mail on. */
    List<MailAddress> destinations(Step.HandOn step) {
        return at.context().people().everybody(step.to(), step.groups());
    }
}
