package app.jubek.core.rehearse;

import app.jubek.core.corpus.Corpus;
import app.jubek.core.corpus.PastMessage;
import app.jubek.core.criteria.Hits;
import app.jubek.core.criteria.NearMiss;
import app.jubek.core.decide.Course;
import app.jubek.core.decide.Outcome;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.rule.RuleId;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * What one rule of a book does to past mail. The rule is judged as if it were on; the others as they are. Nothing is
 * done.
 *
 * @param standings newest first, only messages that at least one counter counts
 */
public record Evidence(
        int window,
        Map<Counter, Integer> counts,
        List<Standing> standings,
        List<CriterionFigures> picksOut,
        List<CriterionFigures> leavesOut) {

    /**
     * @param id the rule in hand; it must be in the book
     */
    public static Evidence of(RuleBook book, RuleId id, Corpus.View past) {
        Rule inHand = book.find(id).orElseThrow(() -> new IllegalArgumentException("no rule " + id.value()));
        RuleBook judged = new RuleBook(
                book.rules().stream()
                        .map(r -> r.id().equals(id) ? switchedOn(r) : r)
                        .toList(),
                book.fence());
        Course course = new Course(judged);
        List<Standing> standings = new ArrayList<>();
        Map<Counter, Integer> counts = new EnumMap<>(Counter.class);
        for (int at = past.size() - 1; at >= 0; at--) {
            Standing standing = standing(course, inHand, past.message(at), past.hits(at));
            standing.counters().forEach(counter -> counts.merge(counter, 1, Integer::sum));
            if (!standing.counters().isEmpty()) {
                standings.add(standing);
            }
        }
        Figures figures = new Figures(past, inHand);
        return new Evidence(past.size(), counts, standings, figures.picksOut(), figures.leavesOut());
    }

    public int count(Counter counter) {
        return counts.getOrDefault(counter, 0);
    }

    private static Standing standing(Course course, Rule inHand, PastMessage message, Hits hits) {
        List<Outcome> outcomes = course.run(hits, rule -> true);
        List<Rule> takenBy =
                outcomes.stream().filter(Outcome::isPicked).map(Outcome::rule).toList();
        Outcome own = outcomes.stream()
                .filter(o -> o.rule().id().equals(inHand.id()))
                .findFirst()
                .orElseThrow();
        Set<Counter> counters = EnumSet.noneOf(Counter.class);
        if (own.isPicked()) {
            counters.add(Counter.PICKED);
            boolean last = takenBy.get(takenBy.size() - 1).id().equals(inHand.id());
            if (!last) {
                counters.add(Counter.ALSO_LATER);
            }
        } else if (own instanceof Outcome.Spared) {
            counters.add(Counter.LEFT_OUT);
        } else if (own instanceof Outcome.NotReached && inHand.picksOut().holds(hits)) {
            counters.add(Counter.TAKEN_EARLIER);
        } else if (NearMiss.of(inHand.picksOut(), hits).isPresent()) {
            counters.add(Counter.NEAR_MISS);
        }
        return new Standing(message, counters, takenBy);
    }

    private static Rule switchedOn(Rule rule) {
        return new Rule(
                rule.id(),
                rule.version(),
                rule.name(),
                rule.picksOut(),
                rule.leavesOut(),
                rule.steps(),
                rule.ending(),
                true);
    }
}
