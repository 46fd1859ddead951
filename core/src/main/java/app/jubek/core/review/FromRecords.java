package app.jubek.core.review;

import app.jubek.core.review.Finding.Remedy;
import app.jubek.core.review.Finding.Sort;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.step.Step;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Findings that show in what rules really did. */
final class FromRecords {
    private final RuleBook book;
    private final List<Unanswered> unanswered;

    FromRecords(RuleBook book, List<Unanswered> unanswered) {
        this.book = book;
        this.unanswered = unanswered;
    }

    List<Finding> findings() {
        return unanswered.stream()
                .filter(Unanswered::isFrequent)
                .flatMap(found -> book.find(found.rule()).filter(Rule::on).stream()
                        .filter(FromRecords::movesUnanswered)
                        .map(rule -> finding(rule, found)))
                .toList();
    }

    /** As it is now; it may have been changed since. */
    private static boolean movesUnanswered(Rule rule) {
        return replies(rule).anyMatch(reply -> !reply.options().keepsUnanswered())
                && rule.steps().stream().anyMatch(step -> step.kind().removes());
    }

    private static Stream<Step.Reply> replies(Rule rule) {
        return rule.steps().stream().filter(Step.Reply.class::isInstance).map(Step.Reply.class::cast);
    }

    private Finding finding(Rule rule, Unanswered found) {
        return new Finding(
                Sort.UNANSWERED_AND_MOVED,
                rule.id(),
                FindingText.MOVED_UNANSWERED.with(found.messages(), found.of()),
                Optional.empty(),
                Optional.of(new Remedy(
                        RemedyText.MOVE_WHAT_WAS_ANSWERED.with(), Books.with(book, rule, FromRecords::keeping))));
    }

    private static Rule keeping(Rule rule) {
        return rule.doing(rule.steps().stream()
                .map(step -> step instanceof Step.Reply reply ? keeping(reply) : step)
                .toList());
    }

    private static Step keeping(Step.Reply reply) {
        return new Step.Reply(
                reply.template(), reply.subject(), reply.text(), reply.options().keepingUnanswered(true));
    }
}
