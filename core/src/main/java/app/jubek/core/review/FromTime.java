package app.jubek.core.review;

import app.jubek.core.review.Finding.Remedy;
import app.jubek.core.review.Finding.Sort;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.schedule.Opening;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/** Findings on when rules are active. */
final class FromTime {
    private final RuleBook book;
    private final Opening opening;
    private final Instant now;

    FromTime(RuleBook book, Opening opening, Instant now) {
        this.book = book;
        this.opening = opening;
        this.now = now;
    }

    List<Finding> findings() {
        return book.rules().stream()
                .filter(Rule::on)
                .filter(rule -> rule.schedule().isOver(now, opening))
                .map(this::over)
                .toList();
    }

    private Finding over(Rule rule) {
        return new Finding(
                Sort.NEVER_ACTIVE,
                rule.id(),
                rule.schedule()
                        .of()
                        .filter(name -> opening.named(name).isEmpty())
                        .map(FindingText.UNKNOWN_HOURS::with)
                        .orElseGet(() -> FindingText.NEVER_ACTIVE_AGAIN.with(
                                rule.schedule().statement())),
                Optional.empty(),
                Optional.of(new Remedy(RemedyText.PAUSE_IT.with(), Books.with(book, rule, r -> r.switched(false)))));
    }
}
