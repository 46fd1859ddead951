package app.jubek.core.drift;

import app.jubek.core.corpus.Corpus;
import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.Everything;
import app.jubek.core.decide.Trace;
import app.jubek.core.evidence.PastRun;
import app.jubek.core.explain.NearMiss;
import app.jubek.core.people.OwnSide;
import app.jubek.core.recurring.Kind;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.schedule.Opening;
import app.jubek.core.suggest.Widening;
import java.time.Instant;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * Finds how the mail of rules changed: what came late is compared with what came before. Of rules that are on; what the
 * criteria meet counts, whatever the hours of a rule and whatever stands above it.
 */
public final class Drifts {
    /** Mail is known by so many messages that a rule picked. */
    private static final int KNOWN_BY = 6;

    /** Of so many changes at once a rule is told. */
    private static final int MOST_OF_ONE = 2;

    private final Corpus.View past;
    private final int late;
    private final OwnSide own;
    private final List<BitSet> families;
    private final BitSet newcomers;
    private final Unlike unlike;

    private Drifts(Corpus.View past, int late, List<Kind> kinds, OwnSide own) {
        this.past = past;
        this.late = late;
        this.own = own;
        this.families = Families.of(past, kinds, own).stream()
                .filter(family -> family.cardinality() >= KNOWN_BY)
                .toList();
        this.newcomers = newcomers(past, late);
        this.unlike = new Unlike(past, late, kinds, own);
    }

    /**
     * @param since what came in from then on is late
     * @param kinds of the messages of this window
     */
    public static List<Drift> of(
            RuleBook book, Corpus.View past, Instant since, List<Kind> kinds, OwnSide own, Opening opening) {
        int late = 0;
        while (late < past.size() && past.message(late).received().isBefore(since)) {
            late++;
        }
        if (late < KNOWN_BY || late == past.size()) {
            return List.of();
        }
        Drifts drifts = new Drifts(past, late, kinds, own);
        BitSet handled = handled(book, past, late, opening);
        return book.rules().stream()
                .filter(rule -> rule.on() && !(rule.picksOut() instanceof Everything))
                .flatMap(rule -> drifts.of(rule, handled))
                .toList();
    }

    /** Late messages of senders who did not write before. */
    private static BitSet newcomers(Corpus.View past, int late) {
        Set<String> before = new HashSet<>();
        BitSet newcomers = new BitSet();
        for (int at = 0; at < past.size(); at++) {
            String sender = past.message(at).senderKey();
            if (at < late) {
                before.add(sender);
            } else if (!before.contains(sender)) {
                newcomers.set(at);
            }
        }
        return newcomers;
    }

    /** Late messages that a rule took for good, so that nothing is missing of them. */
    private static BitSet handled(RuleBook book, Corpus.View past, int late, Opening opening) {
        PastRun run = new PastRun(book, past, opening);
        List<Rule> rules = book.rules();
        BitSet handled = new BitSet();
        for (int at = late; at < past.size(); at++) {
            Trace trace = run.trace(at);
            for (int i = 0; i < rules.size(); i++) {
                if (trace.isPicked(i) && rules.get(i).ends() && !(rules.get(i).picksOut() instanceof Everything)) {
                    handled.set(at);
                }
            }
        }
        return handled;
    }

    /** Each change once, whatever criterion of the rule it is added to. */
    private Stream<Drift> of(Rule rule, BitSet handled) {
        BitSet meets = past.holding(rule.picksOut());
        BitSet leftOut = past.holding(rule.leavesOut());
        BitSet picked = (BitSet) meets.clone();
        picked.andNot(leftOut);
        Map<String, Drift> byKey = new LinkedHashMap<>();
        noLongerPicked(rule, meets, leftOut, handled).forEach(drift -> byKey.putIfAbsent(drift.key(), drift));
        unlike.of(rule, picked).forEach(drift -> byKey.putIfAbsent(drift.key(), drift));
        return byKey.values().stream();
    }

    private List<Drift> noLongerPicked(Rule rule, BitSet meets, BitSet leftOut, BitSet handled) {
        BitSet strays = new BitSet();
        BitSet alike = new BitSet();
        for (BitSet family : familiesOf(rule)) {
            BitSet lost = Tail.of(family, meets, late).lost(KNOWN_BY, newcomers);
            if (!lost.isEmpty()) {
                strays.or(lost);
                alike.or(family);
            }
        }
        strays.andNot(leftOut);
        strays.andNot(handled);
        List<Drift> found = new ArrayList<>();
        Optional<Widening> next = widening(rule, meets, strays, alike);
        while (next.isPresent() && found.size() < MOST_OF_ONE) {
            Widening widening = next.get();
            found.add(drift(rule, widening, strays));
            strays.andNot(widening.taken());
            next = widening(rule, meets, strays, alike);
        }
        return found;
    }

    private Optional<Widening> widening(Rule rule, BitSet meets, BitSet strays, BitSet alike) {
        return Widening.of(past, rule, meets, strays, alike, own);
    }

    private static Drift drift(Rule rule, Widening widening, BitSet strays) {
        BitSet shown = (BitSet) widening.taken().clone();
        shown.and(strays);
        BitSet others = (BitSet) widening.taken().clone();
        others.andNot(strays);
        return new Drift(Drift.Sort.NO_LONGER_PICKED, rule, widening.changed(), widening.added(), shown, others);
    }

    /** Mail that belongs together, and mail that meets all criteria of the rule but one. */
    private List<BitSet> familiesOf(Rule rule) {
        List<BitSet> all = new ArrayList<>(families);
        for (Criterion narrowed : NearMiss.narrowed(rule.picksOut())) {
            all.add(past.holding(narrowed));
        }
        return all;
    }
}
