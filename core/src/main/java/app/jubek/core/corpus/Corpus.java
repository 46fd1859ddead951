package app.jubek.core.corpus;

import app.jubek.core.compiled.ProbeIndex;
import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.Everything;
import app.jubek.core.criteria.Group;
import app.jubek.core.criteria.Hits;
import app.jubek.core.criteria.Probe;
import app.jubek.core.criteria.Test;
import java.time.Instant;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.PriorityQueue;

/**
 * A mailbox's past mail, folded, with the set of messages that each probe hits. A changed value alone is
 * looked for again; a message that is added is looked at by the sets that exist when they are next asked for. Where
 * messages would take more memory than they may, those that came in first leave.
 *
 * <p>Safe for use by several threads.
 */
public final class Corpus {
    /** Of more values than that no sets are kept: they are looked for together, in one pass. */
    private static final int MANY = 200;

    private final int maxSets;
    private final long maxBytes;
    private final List<Optional<PastMessage>> messages = new ArrayList<>();
    private final PriorityQueue<Held> firstIn =
            new PriorityQueue<>(Comparator.comparing(held -> held.message().received()));
    private final Map<Probe, HitSet> sets;
    private List<Held> byArrival = List.of();
    private long bytes;
    private boolean cut;

    /**
     * @param maxSets how many sets of hits are kept; the one not asked for longest goes first. Each takes one bit a
     *     message.
     * @param maxBytes how much memory the messages may take, as they estimate it
     */
    public Corpus(int maxSets, long maxBytes) {
        this.maxSets = maxSets;
        this.maxBytes = maxBytes;
        this.sets = new LinkedHashMap<>(64, 0.75f, true);
    }

    private record Held(int place, PastMessage message) {}

    private static final class HitSet {
        private final BitSet hits = new BitSet();
        private int looked;
    }

    public synchronized void add(PastMessage message) {
        firstIn.add(new Held(messages.size(), message));
        messages.add(Optional.of(message));
        bytes += message.bytes();
        while (bytes > maxBytes && firstIn.size() > 1) {
            Held leaves = firstIn.remove();
            messages.set(leaves.place(), Optional.empty());
            bytes -= leaves.message().bytes();
            cut = true;
        }
        byArrival = List.of();
    }

    public synchronized int size() {
        return firstIn.size();
    }

    /** As the messages estimate it. */
    public synchronized long bytes() {
        return bytes;
    }

    /** Whether messages had to leave, so that it holds only the latest. */
    public synchronized boolean isCut() {
        return cut;
    }

    /** The messages received since an instant, with everything that can be asked of them; later ones are not in it. */
    public synchronized View since(Instant from) {
        if (byArrival.size() != firstIn.size()) {
            byArrival = firstIn.stream()
                    .sorted(Comparator.comparing((Held held) -> held.message().received())
                            .thenComparing(held -> held.message().id()))
                    .toList();
        }
        int first = 0;
        while (first < byArrival.size()
                && byArrival.get(first).message().received().isBefore(from)) {
            first++;
        }
        return new View(byArrival.subList(first, byArrival.size()));
    }

    /** Of a test of very many values: which messages any of them hits, and how many each hits among some. */
    private synchronized Together together(List<Probe> probes, BitSet among) {
        Map<Probe, Integer> numbers = new LinkedHashMap<>();
        probes.forEach(probe -> numbers.putIfAbsent(probe, numbers.size()));
        ProbeIndex index = ProbeIndex.of(List.copyOf(numbers.keySet()));
        BitSet any = new BitSet();
        int[] reach = new int[numbers.size()];
        for (int i = 0; i < messages.size(); i++) {
            int place = i;
            messages.get(i).map(m -> index.look(m.seen())).ifPresent(found -> {
                for (int probe = found.nextTouched(0); probe >= 0; probe = found.nextTouched(probe + 1)) {
                    any.set(place);
                    reach[probe] += among.get(place) ? 1 : 0;
                }
            });
        }
        return new Together(
                any, probes.stream().map(probe -> reach[numbers.get(probe)]).toList());
    }

    private record Together(BitSet any, List<Integer> reaches) {}

    private synchronized BitSet hits(Test test) {
        BitSet any = new BitSet();
        test.probes().forEach(probe -> any.or(hits(probe)));
        return any;
    }

    private synchronized BitSet hits(Probe probe) {
        HitSet set = sets.computeIfAbsent(probe, p -> new HitSet());
        for (int i = set.looked; i < messages.size(); i++) {
            set.hits.set(i, messages.get(i).map(m -> probe.hits(m.seen())).orElse(false));
        }
        set.looked = messages.size();
        if (sets.size() > maxSets) {
            sets.remove(sets.keySet().iterator().next());
        }
        return (BitSet) set.hits.clone();
    }

    /** One stretch of the evidence, in order of arrival. */
    public final class View {
        private final Held[] held;
        private final Map<Test, BitSet> known = new IdentityHashMap<>();
        private final Map<Test, Together> together = new IdentityHashMap<>();

        private View(List<Held> held) {
            this.held = held.toArray(new Held[0]);
        }

        public int size() {
            return held.length;
        }

        public PastMessage message(int at) {
            return held[at].message();
        }

        public Hits hits(int at) {
            int place = held[at].place();
            return test -> set(test).get(place);
        }

        private BitSet set(Test test) {
            BitSet set = known.get(test);
            if (set == null) {
                boolean many = test.probes().size() > MANY;
                set = many ? together(test).any() : Corpus.this.hits(test);
                known.put(test, set);
            }
            return set;
        }

        /**
         * The places of all messages that meet a criterion: those for which it {@link Criterion#holds holds}, found
         * set by set.
         */
        public BitSet holding(Criterion criterion) {
            if (criterion instanceof Group group) {
                return combined(group);
            }
            BitSet held = criterion instanceof Test test ? inWindow(set(test)) : new BitSet();
            boolean turned = criterion instanceof Everything || criterion instanceof Test test && test.negated();
            if (turned) {
                held.flip(0, size());
            }
            return held;
        }

        private BitSet combined(Group group) {
            BitSet all = holding(group.criteria().get(0));
            for (Criterion next : group.criteria().subList(1, group.criteria().size())) {
                if (group.how() == Group.How.ALL) {
                    all.and(holding(next));
                } else {
                    all.or(holding(next));
                }
            }
            if (group.how() == Group.How.NONE) {
                all.flip(0, size());
            }
            return all;
        }

        private BitSet inWindow(BitSet hits) {
            BitSet here = new BitSet(size());
            for (int at = 0; at < held.length; at++) {
                if (hits.get(held[at].place())) {
                    here.set(at);
                }
            }
            return here;
        }

        private Together together(Test test) {
            return together.computeIfAbsent(test, t -> {
                BitSet among = new BitSet();
                for (Held each : held) {
                    among.set(each.place());
                }
                return Corpus.this.together(t.probes(), among);
            });
        }

        /** How many messages of the window each probe of a test hits. */
        public List<Integer> reaches(Test test) {
            return test.probes().size() > MANY
                    ? together(test).reaches()
                    : test.probes().stream()
                            .map(probe -> inWindow(Corpus.this.hits(probe)).cardinality())
                            .toList();
        }
    }
}
