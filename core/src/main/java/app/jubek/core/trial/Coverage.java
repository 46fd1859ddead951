package app.jubek.core.trial;

import app.jubek.core.corpus.Corpus;
import app.jubek.core.decide.DecisionContext;
import app.jubek.core.message.SentBy;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.step.Step;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;

/**
 * What the trials of a rule show, and what none of them shows yet.
 *
 * @param cases in the order of the rule's criteria
 */
public record Coverage(Rule rule, List<Case> cases) {
    public Coverage {
        cases = List.copyOf(cases);
    }

    /**
     * Without looking for messages that would show what is missing.
     *
     * @param trials of which those count that speak of the rule
     * @param at of the mailbox, now
     */
    public static Coverage of(Rule rule, List<Trial> trials, DecisionContext at) {
        return of(rule, trials, at, Finder.none());
    }

    /**
     * With a message for each case that no trial shows.
     *
     * @param book with the rule in it
     */
    public static Coverage of(RuleBook book, Rule rule, List<Trial> trials, Corpus.View past, DecisionContext at) {
        return of(rule, trials, at, new Proposals(book, rule, past, at));
    }

    private static Coverage of(Rule rule, List<Trial> trials, DecisionContext at, Finder finder) {
        List<Trial> own = trials.stream()
                .filter(trial -> trial.rules().contains(rule.id()))
                .toList();
        List<Case> cases = new ArrayList<>();
        for (Mutant mutant : Mutants.of(rule, at.opening(), at.now())) {
            Optional<String> shownBy = first(own, trial -> mutant.isToldFrom(rule, trial.seen(), at.opening()));
            cases.add(new Case(
                    mutant.key(),
                    mutant.what(),
                    shownBy,
                    shownBy.isPresent() ? Optional.empty() : finder.proposal(mutant)));
        }
        if (rule.steps().stream().anyMatch(Step.Reply.class::isInstance)) {
            Optional<String> shownBy = first(own, Coverage::showsAutomatic);
            cases.add(new Case(
                    "automatic",
                    CasePhrase.AUTOMATIC.with(),
                    shownBy,
                    shownBy.isPresent() ? Optional.empty() : finder.automatic()));
        }
        return new Coverage(rule, cases);
    }

    private static Optional<String> first(List<Trial> trials, Predicate<Trial> shows) {
        return trials.stream().filter(shows).map(Trial::id).findFirst();
    }

    private static boolean showsAutomatic(Trial trial) {
        return !trial.seen().message().sentBy().contains(SentBy.PERSON)
                && trial.expectations().contains(Expectation.noReply());
    }
}
