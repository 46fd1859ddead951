package app.jubek.core.rehearse;

import app.jubek.core.corpus.Corpus;
import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.Hits;
import app.jubek.core.criteria.NearMiss;
import app.jubek.core.decide.Course;
import app.jubek.core.decide.Outcome;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.rule.RuleId;
import app.jubek.core.schedule.Opening;
import java.time.Instant;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * What one rule of a book does to past mail. The rule is judged as if it were on; the others as they are. Nothing is
 * done.
 */
public final class Evidence {
    private final Corpus.View past;
    private final Course course;
    private final Rule inHand;
    private final Opening opening;
    private final Map<Counter, Integer> counts = new EnumMap<>(Counter.class);
    private final List<Standing> standings = new ArrayList<>();

    private Evidence(RuleBook book, Rule inHand, Corpus.View past, Opening opening) {
        this.past = past;
        this.inHand = inHand;
        this.opening = opening;
        this.course = new Course(new RuleBook(
                onIfInHand(book.rules(), inHand.id()), book.fence(), onIfInHand(book.tail(), inHand.id())));
        BitSet picksOut = past.holding(inHand.picksOut());
        BitSet near = near(picksOut);
        for (int at = past.size() - 1; at >= 0; at--) {
            Set<Counter> counters = picksOut.get(at)
                    ? counters(past.hits(at), past.message(at).received())
                    : near.get(at) ? EnumSet.of(Counter.NEAR_MISS) : Set.of();
            counters.forEach(counter -> counts.merge(counter, 1, Integer::sum));
            if (!counters.isEmpty()) {
                standings.add(new Standing(at, past.message(at), counters));
            }
        }
    }

    /**
     * @param id the rule in hand; it must be in the book
     * @param opening by which its schedule goes
     */
    public static Evidence of(RuleBook book, RuleId id, Corpus.View past, Opening opening) {
        Rule inHand = book.find(id).orElseThrow(() -> new IllegalArgumentException("no rule " + id.value()));
        return new Evidence(book, inHand, past, opening);
    }

    public int window() {
        return past.size();
    }

    public int count(Counter counter) {
        return counts.getOrDefault(counter, 0);
    }

    /** Newest first; only messages that at least one counter counts. */
    public List<Standing> standings() {
        return List.copyOf(standings);
    }

    /** Where the messages of one counter stand in the window, the newest first. */
    public List<Integer> places(Counter counter) {
        return standings.stream()
                .filter(standing -> standing.counters().contains(counter))
                .map(Standing::at)
                .toList();
    }

    /** The rules that pick a message, in order: its whole fate. */
    public List<Rule> takenBy(Standing standing) {
        return course.run(past.hits(standing.at())).stream()
                .filter(Outcome::isPicked)
                .map(Outcome::rule)
                .toList();
    }

    public List<CriterionFigures> picksOut() {
        return new Figures(past, inHand).picksOut();
    }

    public List<CriterionFigures> leavesOut() {
        return new Figures(past, inHand).leavesOut();
    }

    private BitSet near(BitSet picksOut) {
        BitSet near = new BitSet();
        for (Criterion narrowed : NearMiss.narrowed(inHand.picksOut())) {
            BitSet allBut = past.holding(narrowed);
            allBut.andNot(picksOut);
            near.or(allBut);
        }
        for (int at = picksOut.nextClearBit(0); at < past.size(); at = picksOut.nextClearBit(at + 1)) {
            if (NearMiss.byOneWord(inHand.picksOut(), past.message(at).seen()).isPresent()) {
                near.set(at);
            }
        }
        return near;
    }

    private Set<Counter> counters(Hits hits, Instant received) {
        List<Outcome> outcomes = course.run(hits);
        int own = ownPlace(outcomes);
        Outcome outcome = outcomes.get(own);
        if (outcome instanceof Outcome.Spared) {
            return EnumSet.of(Counter.LEFT_OUT);
        }
        if (outcome instanceof Outcome.NotReached) {
            return EnumSet.of(Counter.TAKEN_EARLIER);
        }
        Set<Counter> counters = EnumSet.of(Counter.PICKED);
        if (outcomes.subList(own + 1, outcomes.size()).stream().anyMatch(Outcome::isPicked)) {
            counters.add(Counter.ALSO_LATER);
        }
        if (!inHand.schedule().isActive(received, opening)) {
            counters.add(Counter.OUTSIDE_ITS_HOURS);
        }
        return counters;
    }

    private int ownPlace(List<Outcome> outcomes) {
        int own = 0;
        while (!outcomes.get(own).rule().id().equals(inHand.id())) {
            own++;
        }
        return own;
    }

    private static List<Rule> onIfInHand(List<Rule> rules, RuleId inHand) {
        return rules.stream()
                .map(rule -> rule.id().equals(inHand) ? rule.switched(true) : rule)
                .toList();
    }
}
