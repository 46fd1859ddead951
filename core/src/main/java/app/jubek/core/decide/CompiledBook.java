package app.jubek.core.decide;

import app.jubek.core.compiled.FoundTerms;
import app.jubek.core.compiled.TermIndex;
import app.jubek.core.criteria.Hits;
import app.jubek.core.criteria.SimpleCriterion;
import app.jubek.core.criteria.TermMatcher;
import app.jubek.core.criteria.TextCriterion;
import app.jubek.core.explain.Mark;
import app.jubek.core.explain.Marks;
import app.jubek.core.matching.MatchType;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.schedule.Schedule;
import app.jubek.core.text.Limits;
import app.jubek.core.view.MessageView;
import app.jubek.core.wording.Statement;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/**
 * A rule book made ready to judge many messages: what a message costs depends on its length and on what hits in it, and
 * hardly on how many rules there are. A rule of whose values none hits comes out as it does for every such message, so
 * only the others are judged. Safe for use by several threads.
 */
public final class CompiledBook {
    private final RuleBook book;
    private final List<Rule> rules;
    private final TermIndex index;
    private final BookTerms terms;
    private final Map<Rule, BitSet> markedBy = new IdentityHashMap<>();
    private final int[][] rulesOfTerm;
    private final Verdict[] withoutHits;
    private final boolean hasSchedules;
    private final boolean hasPatterns;

    private CompiledBook(RuleBook book) {
        this.book = book;
        this.rules = book.all();
        this.terms = new BookTerms(book);
        rules.forEach(rule -> markedBy.put(rule, marked(rule)));
        index = TermIndex.of(terms.all());
        rulesOfTerm = terms.rules();
        hasSchedules = rules.stream().anyMatch(rule -> !rule.schedule().equals(Schedule.ALWAYS));
        hasPatterns = terms.all().stream().anyMatch(CompiledBook::isPattern);
        withoutHits =
                rules.stream().map(rule -> Verdict.of(rule, test -> false)).toArray(Verdict[]::new);
    }

    public static CompiledBook of(RuleBook book) {
        return new CompiledBook(book);
    }

    private static boolean isPattern(TermMatcher term) {
        return term instanceof TextCriterion.ValueMatcher words && words.value().how() == MatchType.PATTERN;
    }

    public RuleBook book() {
        return book;
    }

    private BitSet marked(Rule rule) {
        BitSet marked = new BitSet();
        Marks.positiveTests(rule.picksOut())
                .flatMapToInt(test -> Arrays.stream(terms.of(test)))
                .forEach(marked::set);
        return marked;
    }

    /** One message judged by every rule. */
    public final class Judged implements Hits {
        private final FoundTerms found;
        private final Trace trace;
        private final ReadMessage message;

        private Judged(MessageView view, Silence silence, boolean allSpeak) {
            this.message = view.message();
            this.found = index.look(view);
            Verdict[] verdicts = withoutHits.clone();
            BitSet touched = touchedRules();
            for (int i = touched.nextSetBit(0); i >= 0 && i < verdicts.length; i = touched.nextSetBit(i + 1)) {
                verdicts[i] = isBroken(rules.get(i)) ? Verdict.BROKEN : Verdict.of(rules.get(i), this);
            }
            if (!allSpeak) {
                silence.apply(rules, verdicts);
            }
            trace = new Trace(rules, verdicts, book.rules().size(), this);
        }

        private BitSet touchedRules() {
            BitSet touched = new BitSet(rules.size());
            for (int term = found.nextTouched(0); term >= 0; term = found.nextTouched(term + 1)) {
                for (int rule : rulesOfTerm[term]) {
                    touched.set(rule);
                }
            }
            return touched;
        }

        private boolean isBroken(Rule rule) {
            return found.hasBroken()
                    && Stream.of(rule.picksOut(), rule.leavesOut())
                            .flatMap(criterion -> criterion.tests().stream())
                            .flatMapToInt(test -> Arrays.stream(terms.of(test)))
                            .anyMatch(found::isBroken);
        }

        @Override
        public boolean any(SimpleCriterion test) {
            for (int term : terms.of(test)) {
                if (found.isHit(term)) {
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
        public List<Statement> notes() {
            Limits limits = Limits.standard();
            List<Statement> notes = new ArrayList<>(message.notes());
            if (hasPatterns && message.texts().stream().anyMatch(text -> text.length() > limits.patternChars())) {
                notes.add(DecisionNote.PATTERNS_LOOKED_IN_PART.with(limits.patternChars()));
            }
            if (found.isFull()) {
                notes.add(DecisionNote.MARKED_IN_PART.with(limits.places()));
            }
            return notes;
        }

        /** Where the words stand that a rule looks for, in the message as displayed. */
        public List<Mark> marks(Rule rule) {
            return Marks.merged(found.marks(markedBy.get(rule)));
        }
    }

    /**
     * @param silence why a rule that is on has no say in the message
     * @param allOn that none was switched on too late; excludes asking each of a book without schedules
     */
    Judged judge(MessageView message, Silence silence, boolean allOn) {
        return new Judged(message, silence, allOn && !hasSchedules);
    }

    /** Judges with the say of all rules that are on. */
    public Judged judge(MessageView message) {
        return new Judged(message, Silence.none(), true);
    }
}
