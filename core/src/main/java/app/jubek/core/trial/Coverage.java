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
     * @param book with the rule in it
     * @param trials of which those count that speak of the rule
     * @param at of the mailbox, now
     */
    public static Coverage of(RuleBook book, Rule rule, List<Trial> trials, Corpus.View past, DecisionContext at) {
        List<Trial> own = trials.stream()
                .filter(trial -> trial.rules().contains(rule.id()))
                .toList();
        Proposals proposals = new Proposals(book, rule, past, at);
        List<Case> cases = new ArrayList<>();
        for (Mutant mutant : Mutants.of(rule, at.opening(), at.now())) {
            Optional<String> shownBy = own.stream()
                    .filter(trial -> proposals.tellsApart(mutant, trial.seen()))
                    .map(Trial::id)
                    .findFirst();
            cases.add(new Case(
                    mutant.key(),
                    mutant.what(),
                    shownBy,
                    shownBy.isPresent() ? Optional.empty() : proposals.proposal(mutant)));
        }
        if (rule.steps().stream().anyMatch(Step.Reply.class::isInstance)) {
            cases.add(automatic(own, proposals));
        }
        return new Coverage(rule, cases);
    }

    private static Case automatic(List<Trial> own, Proposals proposals) {
        Optional<String> shownBy = own.stream()
                .filter(trial -> !trial.seen().message().sentBy().contains(SentBy.PERSON))
                .filter(trial -> trial.expectations().contains(Expectation.noReply()))
                .map(Trial::id)
                .findFirst();
        return new Case(
                "automatic",
                CasePhrase.AUTOMATIC.with(),
                shownBy,
                shownBy.isPresent() ? Optional.empty() : proposals.automatic());
    }
}
