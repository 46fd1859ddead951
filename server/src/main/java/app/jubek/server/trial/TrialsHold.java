package app.jubek.server.trial;

import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.trial.Expectation;
import app.jubek.core.trial.TrialNote;
import app.jubek.core.wording.Statement;
import app.jubek.server.platform.Refused;
import app.jubek.server.rulebook.BeforeSaving;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/**
 * A rule is switched on, or changed while it is on, only when its trials hold and no other trial stops holding by it; or
 * when a person says that it may differ, which is recorded. A rule that is on stays on.
 */
@Component
class TrialsHold implements BeforeSaving {
    private final TrialRuns runs;

    TrialsHold(TrialRuns runs) {
        this.runs = runs;
    }

    /** What a page shows of a trial that holds rules back. */
    record HeldBy(String id, String name) {}

    @Override
    public List<Statement> check(Saving saving) {
        Set<String> begun = saving.wanted().all().stream()
                .filter(Rule::on)
                .filter(rule -> isBegun(rule, saving.before()))
                .map(rule -> rule.id().value())
                .collect(Collectors.toSet());
        if (begun.isEmpty()) {
            return List.of();
        }
        List<KeptTrial> against = against(saving, begun);
        if (!against.isEmpty() && !saving.despiteTrials()) {
            throw Refused.invalid(
                    against.size() == 1
                            ? "A trial differs: “" + against.get(0).written().name()
                                    + "”. Look at it, or switch on all the same."
                            : against.size() + " trials differ. Look at them, or switch on all the same.",
                    List.of(),
                    Map.of(
                            "trials",
                            against.stream()
                                    .map(trial -> new HeldBy(
                                            trial.id().toString(),
                                            trial.written().name()))
                                    .toList()));
        }
        return against.stream()
                .map(trial ->
                        TrialNote.SAVED_THOUGH_DIFFERS.with(trial.written().name()))
                .toList();
    }

    private List<KeptTrial> against(Saving saving, Set<String> begun) {
        Set<UUID> differed = differing(saving.mailbox(), saving.before()).stream()
                .map(KeptTrial::id)
                .collect(Collectors.toSet());
        return differing(saving.mailbox(), saving.wanted()).stream()
                .filter(trial -> !differed.contains(trial.id()) || speaksOf(trial, begun))
                .toList();
    }

    private List<KeptTrial> differing(UUID mailbox, RuleBook book) {
        return runs.of(mailbox, book).stream()
                .filter(tried -> !tried.holds())
                .map(TrialRuns.Tried::kept)
                .toList();
    }

    private static boolean speaksOf(KeptTrial trial, Set<String> rules) {
        return trial.expectations().stream()
                .anyMatch(each -> each.fate() == Expectation.Fate.PICKED_BY && rules.contains(each.of()));
    }

    private static boolean isBegun(Rule rule, RuleBook before) {
        return before.find(rule.id())
                .filter(was -> was.asVersion(1).equals(rule.asVersion(1)))
                .isEmpty();
    }
}
