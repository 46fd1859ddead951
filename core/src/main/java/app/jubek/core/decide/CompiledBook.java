package app.jubek.core.decide;

import app.jubek.core.compiled.Findings;
import app.jubek.core.compiled.ProbeIndex;
import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.Hits;
import app.jubek.core.criteria.InHand;
import app.jubek.core.criteria.Mark;
import app.jubek.core.criteria.Marks;
import app.jubek.core.criteria.Probe;
import app.jubek.core.criteria.Test;
import app.jubek.core.criteria.TextTest;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.schedule.Schedule;
import app.jubek.core.text.How;
import app.jubek.core.text.Limits;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/**
 * A rule book made ready to judge many messages: what a message costs depends on its length and on what hits in it, and
 * hardly on how many rules there are. A rule of whose values none hits comes out as it does for every such message, so
 * only the others are judged. Safe for use by several threads.
 */
public final class CompiledBook {
    private final RuleBook book;
    private final List<Rule> rules;
    private final ProbeIndex index;
    private final Map<Test, int[]> probesOfTest = new IdentityHashMap<>();
    private final Map<Rule, BitSet> markedBy = new IdentityHashMap<>();
    private final int[][] rulesOfProbe;
    private final Verdict[] withoutHits;
    private final boolean hasSchedules;
    private final boolean hasPatterns;

    private CompiledBook(RuleBook book) {
        this.book = book;
        this.rules = book.all();
        Map<Probe, Integer> numbers = new LinkedHashMap<>();
        List<BitSet> rulesOf = new ArrayList<>();
        for (int i = 0; i < rules.size(); i++) {
            number(rules.get(i).picksOut(), i, numbers, rulesOf);
            number(rules.get(i).leavesOut(), i, numbers, rulesOf);
        }
        number(book.fence(), rules.size(), numbers, rulesOf);
        rules.forEach(rule -> markedBy.put(rule, marked(rule)));
        index = ProbeIndex.of(List.copyOf(numbers.keySet()));
        rulesOfProbe = rulesOf.stream().map(set -> set.stream().toArray()).toArray(int[][]::new);
        hasSchedules = rules.stream().anyMatch(rule -> !rule.schedule().equals(Schedule.ALWAYS));
        hasPatterns = numbers.keySet().stream().anyMatch(CompiledBook::isPattern);
        withoutHits = rules.stream().map(rule -> verdict(rule, test -> false)).toArray(Verdict[]::new);
    }

    public static CompiledBook of(RuleBook book) {
        return new CompiledBook(book);
    }

    private static boolean isPattern(Probe probe) {
        return probe instanceof TextTest.ValueProbe words && words.value().how() == How.PATTERN;
    }

    public RuleBook book() {
        return book;
    }

    private void number(Criterion criterion, int rule, Map<Probe, Integer> numbers, List<BitSet> rulesOf) {
        criterion.tests().forEach(test -> {
            List<Probe> probes = test.probes();
            int[] own = new int[probes.size()];
            for (int i = 0; i < own.length; i++) {
                own[i] = numbers.computeIfAbsent(probes.get(i), probe -> {
                    rulesOf.add(new BitSet());
                    return rulesOf.size() - 1;
                });
                rulesOf.get(own[i]).set(rule);
            }
            probesOfTest.put(test, own);
        });
    }

    private BitSet marked(Rule rule) {
        BitSet marked = new BitSet();
        Marks.positiveTests(rule.picksOut())
                .flatMapToInt(test -> Arrays.stream(probesOfTest.get(test)))
                .forEach(marked::set);
        return marked;
    }

    private static Verdict verdict(Rule rule, Hits hits) {
        if (!rule.on()) {
            return Verdict.OFF;
        }
        if (!rule.picksOut().holds(hits)) {
            return Verdict.NOT_MATCHED;
        }
        return rule.leavesOut().holds(hits) ? Verdict.SPARED : Verdict.PICKED;
    }

    /** One message judged by every rule. */
    public final class Judged implements Hits {
        private final Findings findings;
        private final Trace trace;
        private final ReadMessage message;

        private Judged(InHand inHand, Function<Rule, Optional<Verdict>> silence, boolean allSpeak) {
            this.message = inHand.message();
            this.findings = index.look(inHand);
            Verdict[] verdicts = withoutHits.clone();
            BitSet touched = touchedRules();
            for (int i = touched.nextSetBit(0); i >= 0 && i < verdicts.length; i = touched.nextSetBit(i + 1)) {
                verdicts[i] = isBroken(rules.get(i)) ? Verdict.BROKEN : verdict(rules.get(i), this);
            }
            if (!allSpeak) {
                silence(verdicts, silence);
            }
            trace = new Trace(rules, verdicts, book.rules().size(), this);
        }

        private BitSet touchedRules() {
            BitSet touched = new BitSet(rules.size());
            for (int probe = findings.nextTouched(0); probe >= 0; probe = findings.nextTouched(probe + 1)) {
                for (int rule : rulesOfProbe[probe]) {
                    touched.set(rule);
                }
            }
            return touched;
        }

        private boolean isBroken(Rule rule) {
            return findings.hasBroken()
                    && java.util.stream.Stream.of(rule.picksOut(), rule.leavesOut())
                            .flatMap(criterion -> criterion.tests().stream())
                            .flatMapToInt(test -> Arrays.stream(probesOfTest.get(test)))
                            .anyMatch(findings::isBroken);
        }

        private void silence(Verdict[] verdicts, Function<Rule, Optional<Verdict>> silence) {
            for (int i = 0; i < verdicts.length; i++) {
                if (verdicts[i] != Verdict.OFF) {
                    verdicts[i] = silence.apply(rules.get(i)).orElse(verdicts[i]);
                }
            }
        }

        @Override
        public boolean any(Test test) {
            for (int probe : probesOfTest.get(test)) {
                if (findings.isHit(probe)) {
                    return true;
                }
            }
            return false;
        }

        public Trace trace() {
            return trace;
        }

        public boolean isFenced() {
            return book.fence().holds(this);
        }

        /** What of the message was not read or not looked through, because it reached a limit. */
        public List<String> notes() {
            Limits limits = Limits.standard();
            List<String> notes = new ArrayList<>(message.notes());
            if (hasPatterns && message.texts().stream().anyMatch(text -> text.length() > limits.patternChars())) {
                notes.add("patterns looked through the first " + limits.patternChars() + " characters of each text");
            }
            if (findings.isFull()) {
                notes.add("only the first " + limits.places() + " places are marked");
            }
            return notes;
        }

        /** Where the words stand that a rule looks for, in the message as displayed. */
        public List<Mark> marks(Rule rule) {
            return Marks.merged(findings.marks(markedBy.get(rule)));
        }
    }

    /**
     * @param silence why a rule that is on has no say in the message
     * @param allOn that none was switched on too late; spares asking each of a book without schedules
     */
    Judged judge(InHand message, Function<Rule, Optional<Verdict>> silence, boolean allOn) {
        return new Judged(message, silence, allOn && !hasSchedules);
    }

    /** Judges with the say of all rules that are on. */
    public Judged judge(InHand message) {
        return new Judged(message, rule -> Optional.empty(), true);
    }
}
