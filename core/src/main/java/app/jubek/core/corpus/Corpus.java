package app.jubek.core.corpus;

import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.Everything;
import app.jubek.core.criteria.Group;
import app.jubek.core.criteria.Hits;
import app.jubek.core.criteria.SimpleCriterion;
import java.time.Instant;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Comparator;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.PriorityQueue;

/**
 * A mailbox's past mail, folded, with the set of messages that each term hits. A changed value alone is
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
    private final PriorityQueue<Held> firstIn =
            new PriorityQueue<>(Comparator.comparing(held -> held.message().received()));
    private Shelf shelf;
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
        this.shelf = new Shelf(maxSets);
    }

    private record Held(int place, PastMessage message) {}

    public synchronized void add(PastMessage message) {
        firstIn.add(new Held(shelf.put(message), message));
        bytes += message.bytes();
        while (bytes > maxBytes && firstIn.size() > 1) {
            Held leaves = firstIn.remove();
            shelf.clear(leaves.place());
            bytes -= leaves.message().bytes();
            cut = true;
        }
        if (shelf.isMostlyEmpty()) {
            closeUp();
        }
        byArrival = List.of();
    }

    /** Leaves the empty places behind; who works on the old shelf has it for as long as that takes. */
    private void closeUp() {
        List<PastMessage> kept = firstIn.stream().map(Held::message).toList();
        shelf = new Shelf(maxSets);
        firstIn.clear();
        kept.forEach(message -> firstIn.add(new Held(shelf.put(message), message)));
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
        return new View(byArrival.subList(first, byArrival.size()), shelf);
    }

    /** One stretch of the evidence, in order of arrival. */
    public final class View {
        private final Held[] held;
        private final Map<SimpleCriterion, BitSet> known = new IdentityHashMap<>();
        private final Map<SimpleCriterion, Shelf.Together> together = new IdentityHashMap<>();
        private final Shelf shelf;

        private View(List<Held> held, Shelf shelf) {
            this.held = held.toArray(new Held[0]);
            this.shelf = shelf;
        }

        public int size() {
            return held.length;
        }

        /** Whether another view is of the very same messages, so that whatever is asked of both has one answer. */
        public boolean isSameAs(View other) {
            return shelf == other.shelf && Arrays.equals(held, other.held);
        }

        public PastMessage message(int at) {
            return held[at].message();
        }

        public Hits hits(int at) {
            int place = held[at].place();
            return test -> set(test).get(place);
        }

        /** Looks for all values of many criteria in one pass, so that what is asked of them next costs little. */
        public void learn(List<Criterion> criteria) {
            shelf.learn(criteria.stream()
                    .flatMap(criterion -> criterion.tests().stream())
                    .filter(test -> test.terms().size() <= MANY)
                    .flatMap(test -> test.terms().stream())
                    .toList());
        }

        private BitSet set(SimpleCriterion test) {
            BitSet set = known.get(test);
            if (set == null) {
                boolean many = test.terms().size() > MANY;
                set = many ? together(test).any() : hits(test);
                known.put(test, set);
            }
            return set;
        }

        private BitSet hits(SimpleCriterion test) {
            BitSet any = new BitSet();
            test.terms().forEach(term -> any.or(shelf.hits(term)));
            return any;
        }

        /**
         * The places of all messages that meet a criterion: those for which it {@link Criterion#holds holds}, found
         * set by set.
         */
        public BitSet holding(Criterion criterion) {
            if (criterion instanceof Group group) {
                return combined(group);
            }
            BitSet held = criterion instanceof SimpleCriterion test ? inWindow(set(test)) : new BitSet();
            boolean turned =
                    criterion instanceof Everything || criterion instanceof SimpleCriterion test && test.negated();
            if (turned) {
                held.flip(0, size());
            }
            return held;
        }

        private BitSet combined(Group group) {
            BitSet all = holding(group.criteria().get(0));
            for (Criterion next : group.criteria().subList(1, group.criteria().size())) {
                if (group.how() == Group.Quantifier.ALL) {
                    all.and(holding(next));
                } else {
                    all.or(holding(next));
                }
            }
            if (group.how() == Group.Quantifier.NONE) {
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

        private Shelf.Together together(SimpleCriterion test) {
            return together.computeIfAbsent(test, t -> {
                BitSet among = new BitSet();
                for (Held each : held) {
                    among.set(each.place());
                }
                return shelf.together(t.terms(), among);
            });
        }

        /** How many messages of the window each term of a test hits. */
        public List<Integer> matches(SimpleCriterion test) {
            return test.terms().size() > MANY
                    ? together(test).matches()
                    : test.terms().stream()
                            .map(term -> inWindow(shelf.hits(term)).cardinality())
                            .toList();
        }
    }
}
