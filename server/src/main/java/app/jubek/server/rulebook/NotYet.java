package app.jubek.server.rulebook;

import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.step.Step;
import app.jubek.core.step.StepKind;
import java.util.EnumSet;
import java.util.Set;
import java.util.stream.Stream;

/** What rules can say and this server does not carry out; it is refused rather than left undone. */
final class NotYet {
    private static final Set<StepKind> KINDS = EnumSet.of(StepKind.TRASH, StepKind.DELETE, StepKind.TELL);

    private NotYet() {}

    static Stream<String> in(RuleBook book) {
        return book.all().stream()
                .filter(rule -> rule.steps().stream().anyMatch(NotYet::isNotYetDone))
                .map(NotYet::said);
    }

    private static boolean isNotYetDone(Step step) {
        return KINDS.contains(step.kind()) || step instanceof Step.HandOn handOn && handOn.leaves();
    }

    private static String said(Rule rule) {
        return "The rule \"" + rule.name() + "\" gets rid of mail or tells about it, which is not carried out yet: file"
                + " the mail instead.";
    }
}
