package app.jubek.core.rehearsal;

import app.jubek.core.corpus.Corpus;
import app.jubek.core.evidence.NearMisses;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleId;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.IntPredicate;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** What other rules would do with past mail, beside what those of now do. Nothing is done. */
public final class Rehearsal {
    /** How often somebody is asked whether it goes on. */
    private static final int STRIDE = 256;

    /** Near misses of more rules nobody looks through. */
    private static final int NEAR_OF_RULES = 10;

    private final Corpus.View past;
    private final ZoneId zone;
    private final Outcomes before;
    private final Outcomes after;

    private Rehearsal(Corpus.View past, Side before, Side after) {
        this.past = past;
        this.zone = before.at().opening().zone();
        this.before = new Outcomes(before, past);
        this.after = new Outcomes(after, past);
    }

    /** Empty when whoever watches has ended it. */
    public static Optional<Rehearsal> of(Corpus.View past, Side before, Side after, Watch watch) {
        Rehearsal made = new Rehearsal(past, before, after);
        for (int at = 0; at < past.size(); at++) {
            if (at % STRIDE == 0 && !watch.goesOn(at)) {
                return Optional.empty();
            }
            made.before.go(at);
            made.after.go(at);
        }
        return Optional.of(made);
    }

    public Corpus.View past() {
        return past;
    }

    public Outcomes before() {
        return before;
    }

    public Outcomes after() {
        return after;
    }

    /**
     * Messages that have one fate by the one side, and one by the other.
     */
    public record Flow(Side.Fate from, Side.Fate to, int messages) {
        public boolean changes() {
            return !from.equals(to);
        }
    }

    /** All of them, the largest first. */
    public List<Flow> flows() {
        Map<Flow, Integer> counts = new HashMap<>();
        for (int at = 0; at < past.size(); at++) {
            counts.merge(new Flow(before.fate(at), after.fate(at), 0), 1, Integer::sum);
        }
        return counts.entrySet().stream()
                .map(each -> new Flow(each.getKey().from(), each.getKey().to(), each.getValue()))
                .sorted(Comparator.comparing(Flow::messages).reversed())
                .toList();
    }

    /** Where the messages are that change hands. */
    public BitSet changing() {
        return where(at -> !before.fate(at).equals(after.fate(at)));
    }

    /** Where those are that go with a flow. */
    public BitSet of(Flow flow) {
        return where(at -> before.fate(at).equals(flow.from()) && after.fate(at).equals(flow.to()));
    }

    private BitSet where(IntPredicate so) {
        BitSet found = new BitSet();
        IntStream.range(0, past.size()).filter(so).forEach(found::set);
        return found;
    }

    /**
     * What a rule picks in a week.
     *
     * @param week its Monday
     */
    public record Week(LocalDate week, int before, int after) {}

    /**
     * @param rule as it is on the other side, or on this one where it is no more
     * @param weeks from the first in which either side picks anything
     */
    public record OfRule(Rule rule, int before, int after, List<Week> weeks) {}

    /** Each rule of either side that picks anything, those of the other side first. */
    public List<OfRule> byRule() {
        Stream<Rule> gone = before.side().book().all().stream()
                .filter(rule -> after.side().book().find(rule.id()).isEmpty());
        return Stream.concat(after.side().book().all().stream(), gone)
                .map(this::ofRule)
                .filter(of -> of.before() + of.after() > 0)
                .toList();
    }

    private OfRule ofRule(Rule rule) {
        BitSet was = before.picked(rule.id());
        BitSet would = after.picked(rule.id());
        Map<LocalDate, int[]> weeks = new TreeMap<>();
        was.stream().forEach(at -> weeks.computeIfAbsent(week(at), w -> new int[2])[0]++);
        would.stream().forEach(at -> weeks.computeIfAbsent(week(at), w -> new int[2])[1]++);
        return new OfRule(
                rule,
                was.cardinality(),
                would.cardinality(),
                weeks.entrySet().stream()
                        .map(each -> new Week(each.getKey(), each.getValue()[0], each.getValue()[1]))
                        .toList());
    }

    /** Where the messages are that came in on a day, or on the days after it. */
    public BitSet within(LocalDate first, int days) {
        return where(at -> {
            long after = day(at).toEpochDay() - first.toEpochDay();
            return after >= 0 && after < days;
        });
    }

    private LocalDate day(int at) {
        return LocalDate.ofInstant(past.message(at).received(), zone);
    }

    private LocalDate week(int at) {
        return day(at).with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
    }

    /**
     * Two rules that pick the same messages.
     */
    public record Overlap(Rule one, Rule other, int messages) {}

    /** On the other side; the largest first. */
    public List<Overlap> overlaps() {
        List<Rule> rules = after.side().book().all().stream()
                .filter(rule -> !after.picked(rule.id()).isEmpty())
                .toList();
        List<Overlap> found = new ArrayList<>();
        for (int i = 0; i < rules.size(); i++) {
            for (int j = i + 1; j < rules.size(); j++) {
                int both = overlap(rules.get(i).id(), rules.get(j).id()).cardinality();
                if (both > 0) {
                    found.add(new Overlap(rules.get(i), rules.get(j), both));
                }
            }
        }
        found.sort(Comparator.comparing(Overlap::messages).reversed());
        return found;
    }

    /** Where the messages are that both pick. */
    public BitSet overlap(RuleId one, RuleId other) {
        BitSet both = after.picked(one);
        both.and(after.picked(other));
        return both;
    }

    /**
     * Messages that a rule nearly picks.
     */
    public record Near(Rule rule, BitSet where) {}

    /** Of the rules that are new or changed, the first few. */
    public List<Near> nearMisses() {
        return after.side()
                .differing(before.side())
                .limit(NEAR_OF_RULES)
                .flatMap(id -> after.side().book().find(id).filter(Rule::on).stream())
                .map(rule -> new Near(rule, NearMisses.of(rule.picksOut(), past, past.holding(rule.picksOut()))))
                .filter(near -> !near.where().isEmpty())
                .toList();
    }

    /**
     * Somebody who is replied to more than once.
     */
    public record Again(String sender, int before, int after) {}

    /** On the other side; those who get most first. */
    public List<Again> answeredAgain() {
        return after.answeredAgain().stream()
                .map(sender -> new Again(
                        sender,
                        before.answered(sender).cardinality(),
                        after.answered(sender).cardinality()))
                .sorted(Comparator.comparing(Again::after).reversed().thenComparing(Again::sender))
                .toList();
    }

    /**
     * What reaches somebody on a day.
     */
    public record Day(LocalDate day, int messages) {}

    /**
     * How much reaches somebody.
     *
     * @param days those on which anything would
     */
    public record Volume(String destination, int before, int after, List<Day> days) {}

    /** By destination, those that would get most first; replies to senders are not among them. */
    public List<Volume> volumes() {
        return Stream.concat(before.destinations().stream(), after.destinations().stream())
                .distinct()
                .map(to -> volume(to, before.reaching(to), after.reaching(to)))
                .sorted(Comparator.comparing(Volume::after).reversed().thenComparing(Volume::destination))
                .toList();
    }

    /** The same of all replies to senders together. */
    public Volume replies() {
        return volume("", before.answered(), after.answered());
    }

    private Volume volume(String to, BitSet was, BitSet would) {
        Map<LocalDate, Integer> days = new TreeMap<>();
        would.stream().forEach(at -> days.merge(day(at), 1, Integer::sum));
        return new Volume(
                to,
                was.cardinality(),
                would.cardinality(),
                days.entrySet().stream()
                        .map(each -> new Day(each.getKey(), each.getValue()))
                        .toList());
    }
}
