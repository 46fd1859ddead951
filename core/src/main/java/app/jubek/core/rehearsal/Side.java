package app.jubek.core.rehearsal;

import app.jubek.core.decide.Decision;
import app.jubek.core.decide.DecisionContext;
import app.jubek.core.plan.PlannedStep;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.rule.RuleId;
import app.jubek.core.step.Step;
import app.jubek.core.template.Template;
import app.jubek.core.wording.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Rules, and all that they go by.
 *
 * @param at of the mailbox; the context of each message takes its message's place
 */
public record Side(RuleBook book, DecisionContext at) {
    /**
     * What becomes of a message, in the order in which it is done, so that messages of one fate stand together: a day or a
     * sender that a step adds makes no difference.
     *
     * @param does empty when it is left in the inbox
     */
    public record Fate(List<Statement> does) {
        static final Fate LEFT = new Fate(List.of());

        public Fate {
            does = List.copyOf(does);
        }

        public boolean isLeft() {
            return does.isEmpty();
        }

        /** In words; that it is left is said, too. */
        public List<Statement> statements() {
            return isLeft() ? List.of(RehearsalPhrase.LEFT_IN_INBOX.with()) : does;
        }
    }

    /** What a decision by this side makes of a message. */
    public Fate fate(Decision decision) {
        List<Statement> does = new ArrayList<>();
        decision.planned().stream()
                .filter(planned -> planned.step() != Step.Plain.KEEP)
                .flatMap(planned -> said(planned).stream())
                .distinct()
                .forEach(does::add);
        return does.isEmpty() ? Fate.LEFT : new Fate(does);
    }

    private Optional<Statement> said(PlannedStep planned) {
        if (planned.sending().isPresent() || planned.step() instanceof Step.HandOn) {
            return template(planned)
                    .map(RehearsalPhrase.REPLIED_TO_WITH::with)
                    .or(() -> Optional.of(planned.statement()));
        }
        return book.find(planned.rule())
                .filter(rule -> planned.ordinal() < rule.steps().size())
                .map(rule -> rule.steps().get(planned.ordinal()).statement());
    }

    private Optional<String> template(PlannedStep planned) {
        boolean copy = planned.sending().filter(sending -> sending.isCopy()).isPresent();
        return planned.step() instanceof Step.Reply reply && !copy
                ? reply.template().flatMap(at.prepared()::template).map(Template::name)
                : Optional.empty();
    }

    /** The rules that are not as they are on another side, whatever is different about them; their order is not looked at. */
    Stream<RuleId> differing(Side other) {
        return book.all().stream()
                .filter(rule -> !other.book().find(rule.id()).equals(Optional.of(rule)))
                .map(rule -> rule.id());
    }
}
