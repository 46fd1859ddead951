package app.jubek.core.corpus;

import app.jubek.core.criteria.Hits;
import app.jubek.core.criteria.Probe;
import app.jubek.core.criteria.Test;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Comparator;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;

/**
 * A mailbox's past mail, folded, with the set of messages that each probe hits. A changed value alone is
 * looked for again; a message that is added is looked at by the sets that exist when they are next asked for.
 *
 * <p>Safe for use by several threads.
 */
public final class Corpus {
    private final int maxSets;
    private final List<PastMessage> messages = new ArrayList<>();
    private final Map<Probe, HitSet> sets;
    private int[] byArrival = new int[0];

    /**
     * @param maxSets how many sets of hits are kept; the one not asked for longest goes first. Each takes one bit a
     *     message.
     */
    public Corpus(int maxSets) {
        this.maxSets = maxSets;
        this.sets = new LinkedHashMap<>(64, 0.75f, true);
    }

    private static final class HitSet {
        private final BitSet hits = new BitSet();
        private int looked;
    }

    public synchronized void add(PastMessage message) {
        messages.add(message);
    }

    public synchronized int size() {
        return messages.size();
    }

    /** The messages received since an instant, with everything that can be asked of them; later ones are not in it. */
    public synchronized View since(Instant from) {
        if (byArrival.length != messages.size()) {
            byArrival = IntStream.range(0, messages.size())
                    .boxed()
                    .sorted(Comparator.comparing(i -> messages.get(i).received()))
                    .mapToInt(Integer::intValue)
                    .toArray();
        }
        int first = 0;
        while (first < byArrival.length
                && messages.get(byArrival[first]).received().isBefore(from)) {
            first++;
        }
        return new View(Arrays.copyOfRange(byArrival, first, byArrival.length));
    }

    private synchronized PastMessage message(int index) {
        return messages.get(index);
    }

    private synchronized BitSet hits(Test test) {
        BitSet any = new BitSet();
        test.probes().forEach(probe -> any.or(hits(probe)));
        return any;
    }

    private synchronized BitSet hits(Probe probe) {
        HitSet set = sets.computeIfAbsent(probe, p -> new HitSet());
        for (int i = set.looked; i < messages.size(); i++) {
            if (probe.hits(messages.get(i).seen())) {
                set.hits.set(i);
            }
        }
        set.looked = messages.size();
        if (sets.size() > maxSets) {
            sets.remove(sets.keySet().iterator().next());
        }
        return (BitSet) set.hits.clone();
    }

    /** One stretch of the evidence, in order of arrival. */
    public final class View {
        private final int[] index;
        private final Map<Test, BitSet> known = new IdentityHashMap<>();

        private View(int[] index) {
            this.index = index;
        }

        public int size() {
            return index.length;
        }

        public PastMessage message(int at) {
            return Corpus.this.message(index[at]);
        }

        public Hits hits(int at) {
            int message = index[at];
            return test -> set(test).get(message);
        }

        private BitSet set(Test test) {
            BitSet set = known.get(test);
            if (set == null) {
                set = Corpus.this.hits(test);
                known.put(test, set);
            }
            return set;
        }

        /** How many messages of the window one probe hits. */
        public int reach(Probe probe) {
            BitSet hits = Corpus.this.hits(probe);
            int count = 0;
            for (int at : index) {
                count += hits.get(at) ? 1 : 0;
            }
            return count;
        }
    }
}
