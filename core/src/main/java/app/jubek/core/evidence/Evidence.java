package app.jubek.core.evidence;

import app.jubek.core.corpus.Corpus;
import app.jubek.core.decide.Outcome;
import app.jubek.core.decide.Trace;
import app.jubek.core.explain.NearMiss;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.rule.RuleId;
import app.jubek.core.schedule.Opening;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.UnaryOperator;

/**
 * What one rule of a book does to past mail. The rule is judged as if it were on, in its hours, whatever its days: no past
 * mail may fall into those. The others are judged as they are. Nothing is done.
 */
public final class Evidence {
    private final Corpus.View past;
    /** As if the edited rule had no hours, so that it can be said what comes outside them. */
    private final PastRun atAnyHour;

    private final PastRun run;
    private final Rule edited;
    private final Opening opening;
    private final Map<Counter, Integer> counts = new EnumMap<>(Counter.class);
    private final List<MessageResult> results = new ArrayList<>();

    private Evidence(RuleBook book, Rule edited, Corpus.View past, Opening opening) {
        this.past = past;
        this.edited = edited;
        this.opening = opening;
        this.atAnyHour = run(book, rule -> rule.switched(true).always());
        this.run = run(book, rule -> rule.switched(true).onAnyDay());
        BitSet picksOut = past.holding(edited.picksOut());
        BitSet near = NearMisses.of(edited.picksOut(), past, picksOut);
        for (int at = past.size() - 1; at >= 0; at--) {
            Set<Counter> counters =
                    picksOut.get(at) ? counters(at) : near.get(at) ? EnumSet.of(Counter.NEAR_MISS) : Set.of();
            counters.forEach(counter -> counts.merge(counter, 1, Integer::sum));
            if (!counters.isEmpty()) {
                results.add(new MessageResult(at, past.message(at), counters));
            }
        }
    }

    /**
     * @param id the rule that is edited; it must be in the book
     * @param opening by which its schedule goes
     */
    public static Evidence of(RuleBook book, RuleId id, Corpus.View past, Opening opening) {
        Rule edited = book.find(id).orElseThrow(() -> new IllegalArgumentException("no rule " + id.value()));
        return new Evidence(book, edited, past, opening);
    }

    public int total() {
        return past.size();
    }

    public int count(Counter counter) {
        return counts.getOrDefault(counter, 0);
    }

    /** Newest first; only messages that at least one counter counts. */
    public List<MessageResult> results() {
        return List.copyOf(results);
    }

    /** Where the messages of one counter are in the evidence, the newest first. */
    public List<Integer> places(Counter counter) {
        return results.stream()
                .filter(result -> result.counters().contains(counter))
                .map(MessageResult::at)
                .toList();
    }

    /** How one message stands to the rule; a near miss is said to be one although others are nearer. */
    public Set<Counter> standing(int at) {
        return results.stream()
                .filter(result -> result.at() == at)
                .findFirst()
                .map(MessageResult::counters)
                .orElseGet(() -> isNear(at) ? EnumSet.of(Counter.NEAR_MISS) : Set.of());
    }

    private boolean isNear(int at) {
        return NearMiss.of(edited.picksOut(), past.hits(at))
                .or(() -> NearMiss.byOneWord(edited.picksOut(), past.message(at).seen()))
                .isPresent();
    }

    /** Where the messages are that the rule picks. */
    public BitSet picked() {
        BitSet picked = new BitSet(total());
        places(Counter.PICKED).forEach(picked::set);
        return picked;
    }

    /** The rules that pick a message, in order. */
    public List<Rule> takenBy(MessageResult result) {
        return trace(result).picking();
    }

    /** What the rules make of a message, with the edited one as it is judged here. */
    Trace trace(MessageResult result) {
        return run.trace(result.at());
    }

    RuleBook book() {
        return run.book();
    }

    Rule edited() {
        return edited;
    }

    Corpus.View past() {
        return past;
    }

    public List<CriterionFigures> picksOut() {
        return new Figures(past, edited).picksOut();
    }

    public List<CriterionFigures> leavesOut() {
        return new Figures(past, edited).leavesOut();
    }

    private Set<Counter> counters(int at) {
        List<Outcome> outcomes = atAnyHour.trace(at);
        int own = ownPlace(outcomes);
        Outcome outcome = outcomes.get(own);
        if (outcome instanceof Outcome.Excluded) {
            return EnumSet.of(Counter.LEFT_OUT);
        }
        if (outcome instanceof Outcome.NotReached) {
            return EnumSet.of(Counter.STOPPED_EARLIER);
        }
        if (!edited.onAnyDay().schedule().isActive(past.message(at).received(), opening)) {
            return EnumSet.of(Counter.OUTSIDE_ITS_HOURS);
        }
        Set<Counter> counters = EnumSet.of(Counter.PICKED);
        if (outcomes.subList(own + 1, outcomes.size()).stream().anyMatch(Outcome::isPicked)) {
            counters.add(Counter.LATER_RULES_ACT);
        }
        return counters;
    }

    private int ownPlace(List<Outcome> outcomes) {
        int own = 0;
        while (!outcomes.get(own).rule().id().equals(edited.id())) {
            own++;
        }
        return own;
    }

    private PastRun run(RuleBook book, UnaryOperator<Rule> asJudged) {
        return new PastRun(
                new RuleBook(with(book.rules(), asJudged), book.fence(), with(book.tail(), asJudged)), past, opening);
    }

    private List<Rule> with(List<Rule> rules, UnaryOperator<Rule> asJudged) {
        return rules.stream()
                .map(rule -> rule.id().equals(edited.id()) ? asJudged.apply(rule) : rule)
                .toList();
    }
}
