package app.jubek.core.review;

import app.jubek.core.corpus.Corpus;
import app.jubek.core.exchange.Loops;
import app.jubek.core.people.OwnSide;
import app.jubek.core.review.Finding.Sort;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.rule.RuleId;
import app.jubek.core.schedule.Opening;
import app.jubek.core.template.Prepared;
import java.time.Instant;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Looks a rule book over. Only rules that are on are looked at. */
public final class Review {
    /** Findings that make "matches nothing" redundant. */
    private static final Set<Sort> SETTLES =
            EnumSet.of(Sort.CAN_NEVER_MATCH, Sort.NEVER_ACTIVE, Sort.NEVER_REACHED, Sort.SAME_AS_ANOTHER);

    private Review() {}

    /**
     * All findings, the worst first.
     *
     * @param prepared the templates that replies go by
     * @param now from when on a rule may be active
     * @param unanswered what rules did within the last time
     * @param tried whether what they send comes back
     */
    public static List<Finding> of(
            RuleBook book,
            Corpus.View past,
            OwnSide own,
            Prepared prepared,
            Opening opening,
            Instant now,
            List<Unanswered> unanswered,
            List<Loops.Tried> tried) {
        List<Finding> fromCriteria = new FromCriteria(book, own).findings();
        List<Finding> fromTime = new FromTime(book, prepared, opening, now).findings();
        Set<RuleId> settled = Stream.concat(fromCriteria.stream(), fromTime.stream())
                .filter(finding -> SETTLES.contains(finding.sort()))
                .map(Finding::rule)
                .collect(Collectors.toSet());
        return Stream.of(
                        fromCriteria,
                        fromTime,
                        new FromRecords(book, unanswered).findings(),
                        new FromEvidence(book, past, opening, now).findings(settled),
                        new FromWords(book, past).findings(),
                        loops(book, tried))
                .flatMap(List::stream)
                .sorted(Comparator.comparing(Finding::sort))
                .toList();
    }

    /** Findings on what comes back and is sent again, in the order of the rules. */
    public static List<Finding> loops(RuleBook book, List<Loops.Tried> tried) {
        return new FromLoops(book, tried).findings();
    }
}
