package app.jubek.server.trial;

import app.jubek.core.corpus.PastMessage;
import app.jubek.core.rule.Rule;
import app.jubek.core.trial.Case;
import app.jubek.core.trial.Coverage;
import app.jubek.core.trial.Expectation;
import app.jubek.core.trial.Names;
import app.jubek.core.trial.TrialResult;
import app.jubek.core.wording.Statement;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.LongFunction;

/** Trials as screens show them. */
final class TrialViews {
    private TrialViews() {}

    /**
     * @param met whether it is so
     */
    record ExpectationView(Expectation.Fate fate, String of, boolean must, Statement statement, boolean met) {}

    /**
     * @param against whether it must not be so
     */
    record HappeningView(Statement what, boolean against) {}

    /**
     * @param rule the one that it stands with; empty when it speaks of none
     * @param mustBePicked whether a rule must pick it
     * @param holds false too when its message can't be judged
     * @param because what the rules that it speaks of say of its message
     */
    record TrialLine(
            String id,
            String name,
            Optional<String> rule,
            Instant at,
            Instant madeAt,
            String madeBy,
            boolean mustBePicked,
            boolean holds,
            List<ExpectationView> expected,
            List<HappeningView> happens,
            List<Statement> because) {}

    /**
     * A message that would show a case.
     *
     * @param madeUp whether it is none of past mail
     */
    record ProposalView(boolean madeUp, String from, String subject, Instant at, List<Statement> expected) {}

    /**
     * @param shownBy the id of a trial; empty when none shows it
     */
    record CaseView(String key, Statement what, Optional<String> shownBy, Optional<ProposalView> proposal) {}

    /**
     * A rule with its trials and the cases that they show, or should.
     */
    record RuleTrials(String rule, String name, boolean on, List<TrialLine> trials, List<CaseView> cases) {}

    static TrialLine line(TrialRuns.Tried tried, Names names) {
        KeptTrial kept = tried.kept();
        List<Expectation> unmet = tried.result().map(TrialResult::unmet).orElse(kept.expectations());
        return new TrialLine(
                kept.id().toString(),
                kept.written().name(),
                kept.rule(),
                kept.written().at(),
                kept.madeAt(),
                kept.madeBy(),
                kept.mustBePicked(),
                tried.holds(),
                kept.expectations().stream()
                        .map(each -> new ExpectationView(
                                each.fate(), each.of(), each.must(), each.statement(names), !unmet.contains(each)))
                        .toList(),
                tried.result().stream()
                        .flatMap(result -> result.happens().stream())
                        .map(each -> new HappeningView(each.what(), each.against()))
                        .toList(),
                tried.result().map(TrialResult::because).orElse(List.of()));
    }

    /**
     * @param byRule the trials by the rule that they stand with
     */
    static RuleTrials rule(Coverage coverage, Map<String, List<TrialLine>> byRule, Names names) {
        Rule rule = coverage.rule();
        return new RuleTrials(
                rule.id().value(),
                rule.name(),
                rule.on(),
                byRule.getOrDefault(rule.id().value(), List.of()),
                coverage.cases().stream()
                        .map(one -> new CaseView(one.key(), one.what(), one.shownBy(), Optional.empty()))
                        .toList());
    }

    static CaseView view(Case one, Names names, LongFunction<PastMessage> past) {
        return new CaseView(
                one.key(), one.what(), one.shownBy(), one.proposal().map(proposal -> view(proposal, names, past)));
    }

    private static ProposalView view(Case.Proposal proposal, Names names, LongFunction<PastMessage> past) {
        List<Statement> expected = proposal.expectations().stream()
                .map(each -> each.statement(names))
                .toList();
        if (proposal instanceof Case.Real real) {
            PastMessage message = past.apply(real.message());
            return new ProposalView(false, message.senderShown(), message.subject(), real.at(), expected);
        }
        Case.Invented invented = (Case.Invented) proposal;
        Instant at = invented.sample().received().orElseThrow();
        return new ProposalView(
                true, invented.sample().from(), invented.sample().subject(), at, expected);
    }
}
