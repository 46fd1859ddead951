package app.jubek.core.suggest;

import app.jubek.core.corpus.Corpus;
import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.Group;
import app.jubek.core.people.OwnSide;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * Proposes criteria that take the wanted messages and not the unwanted ones. Plain criteria come before odd ones, few
 * before many, and what takes a good part of all mail comes last.
 */
public final class Suggest {
    private static final int MOST = 3;
    private static final double MISSED = 8;
    private static final double WRONG = 6;
    private static final double SECOND = 0.3;
    /** From this part of all mail on a value counts as broad. */
    private static final double BROAD = 0.2;

    private final Corpus.View past;
    private final BitSet wanted = new BitSet();
    private final BitSet unwanted = new BitSet();
    private final Map<Where, List<Candidate>> candidates;

    private Suggest(Corpus.View past, List<Integer> wanted, List<Integer> unwanted, OwnSide own) {
        this.past = past;
        wanted.forEach(this.wanted::set);
        unwanted.forEach(this.unwanted::set);
        candidates = new Candidates(past, own)
                .of(wanted).stream()
                        .collect(Collectors.groupingBy(Candidate::where, LinkedHashMap::new, Collectors.toList()));
    }

    /** A set of criteria in the making. */
    private record Option(Criterion criterion, BitSet hits, double effort) {}

    /**
     * @param wanted places in the evidence; at least one
     * @param unwanted places in the evidence; may be none
     * @return two or three suggestions, the best first; fewer when nothing tells them apart
     */
    public static List<Suggestion> of(
            Corpus.View past, Collection<Integer> wanted, Collection<Integer> unwanted, OwnSide own) {
        if (wanted.isEmpty()) {
            throw new IllegalArgumentException("say of at least one message that it belongs");
        }
        return new Suggest(past, List.copyOf(wanted), List.copyOf(unwanted), own).suggestions();
    }

    private List<Suggestion> suggestions() {
        List<Option> options = options();
        options.sort(Comparator.comparingDouble(this::score));
        List<Option> chosen = new ArrayList<>();
        for (Option option : options) {
            boolean known = chosen.stream().anyMatch(c -> c.hits().equals(option.hits()));
            if (!known && chosen.size() < MOST) {
                chosen.add(option);
            }
        }
        if (chosen.size() == 1) {
            options.stream()
                    .filter(o ->
                            o != chosen.get(0) && o.effort() < 2 * chosen.get(0).effort())
                    .findFirst()
                    .ifPresent(chosen::add);
        }
        return chosen.stream().map(this::suggestion).toList();
    }

    private List<Option> options() {
        List<Clause> clauses = new ArrayList<>();
        candidates.values().forEach(of -> clause(wanted, of, unwanted).ifPresent(clauses::add));
        List<Option> options = new ArrayList<>();
        for (int i = 0; i < clauses.size(); i++) {
            Clause one = clauses.get(i);
            options.add(new Option(all(one), one.hits(), one.effort()));
            for (Clause other : clauses.subList(i + 1, clauses.size())) {
                both(one, other.where()).ifPresent(options::add);
            }
        }
        eachSenderWithItsOwnWords().ifPresent(options::add);
        return options;
    }

    /**
     * @param wrong messages it had better not hit
     */
    private Optional<Clause> clause(BitSet of, List<Candidate> among, BitSet wrong) {
        return Clause.covering(of, among, c -> 1 + 3.0 * c.among(wrong) + broad(c.matches()));
    }

    private double broad(int matches) {
        double part = (double) matches / past.size();
        return part <= BROAD ? 0 : 20 * (part - BROAD);
    }

    /** Another criterion beside one, made for what the first takes wrongly. */
    private Optional<Option> both(Clause one, Where where) {
        if (one.where() == Where.SENDER_DOMAIN && where == Where.SENDER) {
            return Optional.empty();
        }
        return clause(wanted, candidates.get(where), among(unwanted, one.hits()))
                .map(other -> new Option(
                        all(one, other), among(one.hits(), other.hits()), one.effort() + other.effort() + SECOND));
    }

    private static BitSet among(BitSet some, BitSet others) {
        BitSet both = (BitSet) some.clone();
        both.and(others);
        return both;
    }

    private static Group all(Clause... clauses) {
        List<Criterion> tests = new ArrayList<>();
        for (Clause clause : clauses) {
            tests.add(clause.test());
        }
        return new Group(Group.Quantifier.ALL, tests);
    }

    /** For senders who have no words in common: each domain with the words that its own messages share. */
    private Optional<Option> eachSenderWithItsOwnWords() {
        List<Candidate> domains = candidates.getOrDefault(Where.SENDER_DOMAIN, List.of());
        List<Candidate> words = candidates.getOrDefault(Where.SUBJECT, List.of());
        List<Criterion> each = new ArrayList<>();
        BitSet hits = new BitSet();
        double effort = 0;
        for (Candidate domain : domains) {
            Optional<Clause> clause = clause(among(wanted, domain.hits()), words, among(unwanted, domain.hits()));
            if (clause.isEmpty()) {
                return Optional.empty();
            }
            Clause from = new Clause(Where.SENDER_DOMAIN, List.of(domain.value()), domain.hits(), 0);
            each.add(all(from, clause.get()));
            hits.or(among(domain.hits(), clause.get().hits()));
            effort += from.effort() + clause.get().effort();
        }
        return each.size() < 2 || each.size() > 4
                ? Optional.empty()
                : Optional.of(new Option(new Group(Group.Quantifier.ANY, each), hits, effort));
    }

    /** Lower is better. What it takes elsewhere weighs little: the wanted messages are examples, not all there are. */
    private double score(Option option) {
        BitSet missed = (BitSet) wanted.clone();
        missed.andNot(option.hits());
        BitSet wrong = among(unwanted, option.hits());
        int taken = option.hits().cardinality();
        double elsewhere = Math.log(1 + (double) taken / wanted.cardinality());
        return MISSED * missed.cardinality() / wanted.cardinality()
                + WRONG * wrong.cardinality() / Math.max(1, unwanted.cardinality())
                + option.effort()
                + broad(taken)
                + (unwanted.isEmpty() ? 0.15 : 0.02) * elsewhere;
    }

    private Suggestion suggestion(Option option) {
        BitSet missed = (BitSet) wanted.clone();
        missed.andNot(option.hits());
        BitSet wrong = among(unwanted, option.hits());
        BitSet elsewhere = (BitSet) option.hits().clone();
        elsewhere.andNot(wanted);
        elsewhere.andNot(unwanted);
        return new Suggestion(option.criterion(), newestFirst(missed), newestFirst(wrong), newestFirst(elsewhere));
    }

    private static List<Integer> newestFirst(BitSet places) {
        return places.stream().boxed().sorted(Comparator.reverseOrder()).toList();
    }
}
