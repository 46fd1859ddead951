package app.jubek.core.corpus;

import app.jubek.core.compiled.TermIndex;
import app.jubek.core.criteria.TermMatcher;
import java.util.Arrays;
import java.util.BitSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Messages by their places, with the set of places that each term hits. A place is never given to another message, so
 * that whoever works on a stretch of them goes on undisturbed. Looking for one term holds up only those who ask for the
 * same one.
 */
final class Shelf {
    /** Fewer terms are looked for one by one when they are asked for. */
    private static final int WORTH_IT = 8;

    private final int maxSets;
    private final Map<TermMatcher, HitSet> sets = new LinkedHashMap<>(64, 0.75f, true);
    private PastMessage[] places = new PastMessage[256];
    private int count;
    private int empty;

    Shelf(int maxSets) {
        this.maxSets = maxSets;
    }

    /** The places as they were at a moment; what is added later lies behind them. */
    private record Filled(PastMessage[] places, int count) {}

    private static final class HitSet {
        private final BitSet hits = new BitSet();
        private int looked;

        synchronized BitSet upTo(Filled filled, TermMatcher term) {
            for (; looked < filled.count(); looked++) {
                PastMessage message = filled.places()[looked];
                hits.set(looked, message != null && term.hits(message.seen()));
            }
            return (BitSet) hits.clone();
        }
    }

    synchronized int put(PastMessage message) {
        if (count == places.length) {
            places = Arrays.copyOf(places, 2 * count);
        }
        places[count] = message;
        return count++;
    }

    synchronized void clear(int place) {
        places[place] = null;
        empty++;
    }

    /** Whether more of it is empty than not. */
    synchronized boolean isMostlyEmpty() {
        return count > 256 && 2 * empty > count;
    }

    BitSet hits(TermMatcher term) {
        HitSet set;
        Filled filled;
        synchronized (this) {
            set = sets.computeIfAbsent(term, fresh -> new HitSet());
            filled = new Filled(places, count);
            if (sets.size() > maxSets) {
                sets.remove(sets.keySet().iterator().next());
            }
        }
        return set.upTo(filled, term);
    }

    /**
     * Looks for terms that nobody has asked for yet in one pass, which costs less than looking for one after the other; as
     * many as there is room for.
     */
    void learn(List<TermMatcher> terms) {
        List<TermMatcher> fresh = fresh(terms);
        if (fresh.size() < WORTH_IT) {
            return;
        }
        TermIndex index = TermIndex.of(fresh);
        List<HitSet> made = fresh.stream().map(term -> new HitSet()).toList();
        Filled filled = filled();
        for (int place = 0; place < filled.count(); place++) {
            PastMessage message = filled.places()[place];
            if (message != null) {
                var found = index.look(message.seen());
                for (int term = found.nextTouched(0); term >= 0; term = found.nextTouched(term + 1)) {
                    made.get(term).hits.set(place);
                }
            }
        }
        made.forEach(set -> set.looked = filled.count());
        keep(fresh, made);
    }

    private synchronized List<TermMatcher> fresh(List<TermMatcher> terms) {
        return terms.stream()
                .distinct()
                .filter(term -> !sets.containsKey(term))
                .limit(maxSets)
                .toList();
    }

    private synchronized void keep(List<TermMatcher> terms, List<HitSet> made) {
        for (int i = 0; i < terms.size(); i++) {
            sets.putIfAbsent(terms.get(i), made.get(i));
        }
        while (sets.size() > maxSets) {
            sets.remove(sets.keySet().iterator().next());
        }
    }

    /** Of very many terms: which messages any of them hits, and how many each hits among some. */
    Together together(List<TermMatcher> terms, BitSet among) {
        Map<TermMatcher, Integer> numbers = new LinkedHashMap<>();
        terms.forEach(term -> numbers.putIfAbsent(term, numbers.size()));
        TermIndex index = TermIndex.of(List.copyOf(numbers.keySet()));
        BitSet any = new BitSet();
        int[] reach = new int[numbers.size()];
        Filled filled = filled();
        for (int place = 0; place < filled.count(); place++) {
            PastMessage message = filled.places()[place];
            if (message != null) {
                note(index, message, place, among.get(place), any, reach);
            }
        }
        return new Together(
                any, terms.stream().map(term -> reach[numbers.get(term)]).toList());
    }

    private static void note(TermIndex index, PastMessage message, int place, boolean counts, BitSet any, int[] reach) {
        var found = index.look(message.seen());
        for (int term = found.nextTouched(0); term >= 0; term = found.nextTouched(term + 1)) {
            any.set(place);
            reach[term] += counts ? 1 : 0;
        }
    }

    private synchronized Filled filled() {
        return new Filled(places, count);
    }

    /**
     * @param any the places that any term hits
     * @param matches how many messages each term hits
     */
    record Together(BitSet any, List<Integer> matches) {}
}
