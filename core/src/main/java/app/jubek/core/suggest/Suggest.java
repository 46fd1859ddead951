package app.jubek.core.suggest;

import app.jubek.core.corpus.Corpus;
import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.Group;
import app.jubek.core.people.OwnSide;
import app.jubek.core.recurring.Kind;
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
    private static final double BROAD_WORD = 0.8;
    private static final double SECOND = 0.3;
    /** From this part of all mail on a value counts as broad. */
    private static final double BROAD = 0.2;

    private final Corpus.View past;
    private final Aim aim;
    private final Map<Where, List<Candidate>> candidates;

    private Suggest(Corpus.View past, Aim aim, List<Candidate> candidates) {
        this.past = past;
        this.aim = aim;
        this.candidates = candidates.stream()
                .collect(Collectors.groupingBy(Candidate::where, LinkedHashMap::new, Collectors.toList()));
    }

    /** A set of criteria in the making. */
    private record Option(Criterion criterion, BitSet hits, double effort) {}

    /**
     * From examples.
     *
     * @param wanted places in the evidence; at least one
     * @param unwanted places in the evidence; may be none
     * @return two or three suggestions, the best first; fewer when nothing tells them apart
     */
    public static List<Suggestion> of(
            Corpus.View past, Collection<Integer> wanted, Collection<Integer> unwanted, OwnSide own) {
        if (wanted.isEmpty()) {
            throw new IllegalArgumentException("say of at least one message that it belongs");
        }
        return new Suggest(past, Aim.examples(wanted, unwanted), new Candidates(past, own).of(List.copyOf(wanted)))
                .suggestions();
    }

    /**
     * For a kind of recurring mail: all of it, and no other mail.
     *
     * @param kind of the messages of this window
     * @return up to three suggestions, the best first
     */
    public static List<Suggestion> of(Corpus.View past, Kind kind, OwnSide own) {
        return new Suggest(
                        past,
                        Aim.whole(kind.members(), past.size()),
                        new Candidates(past, own).of(kind.members(), kind.patterns()))
                .suggestions();
    }

    private List<Suggestion> suggestions() {
        List<Option> options = options();
        options.sort(Comparator.comparingDouble(this::score));
        List<Option> chosen = new ArrayList<>();
        for (Option option : options) {
            boolean known = chosen.stream().anyMatch(c -> c.hits().equals(option.hits()));
            boolean presentable = chosen.isEmpty() || aim.isPresentable(option.hits());
            if (!known && presentable && chosen.size() < MOST) {
                chosen.add(option);
            }
        }
        if (chosen.size() == 1) {
            options.stream()
                    .filter(o ->
                            o != chosen.get(0) && o.effort() < 2 * chosen.get(0).effort())
                    .filter(o -> aim.isPresentable(o.hits()))
                    .findFirst()
                    .ifPresent(chosen::add);
        }
        return chosen.stream().map(this::suggestion).toList();
    }

    private List<Option> options() {
        List<Clause> clauses = new ArrayList<>();
        candidates.values().forEach(of -> clause(aim, of).ifPresent(clauses::add));
        List<Option> options = new ArrayList<>();
        for (int i = 0; i < clauses.size(); i++) {
            Clause one = clauses.get(i);
            options.add(new Option(
                    all(one), one.hits(), one.effort() + (isEqualledByDomains(one, clauses) ? BROAD_WORD : 0)));
            for (Clause other : clauses.subList(i + 1, clauses.size())) {
                both(one, other.where()).ifPresent(options::add);
            }
        }
        eachSenderWithItsOwnWords().ifPresent(options::add);
        return options;
    }

    /** One broad word comes after the senders' domains when these do as well. */
    private boolean isEqualledByDomains(Clause clause, List<Clause> all) {
        return clause.hasBroadWord()
                && all.stream()
                        .anyMatch(other -> other.where() == Where.SENDER_DOMAIN
                                && other.lone() == 0
                                && aim.fault(other.hits()) <= aim.fault(clause.hits()));
    }

    private Optional<Clause> clause(Aim towards, List<Candidate> among) {
        return Clause.covering(towards, among, c -> 1 + towards.cost(c) + broad(c.matches()));
    }

    /** What belongs is known of a kind, so that even much of all mail is not too much. */
    private double broad(int matches) {
        double part = (double) matches / past.size();
        return aim.whole() || part <= BROAD ? 0 : 20 * (part - BROAD);
    }

    /** Another criterion beside one, made for what the first takes wrongly. */
    private Optional<Option> both(Clause one, Where where) {
        if (one.where() == Where.SENDER_DOMAIN && where == Where.SENDER) {
            return Optional.empty();
        }
        return clause(aim.with(aim.wanted(), Sets.both(aim.unwanted(), one.hits())), candidates.get(where))
                .map(other -> new Option(
                        all(one, other), Sets.both(one.hits(), other.hits()), one.effort() + other.effort() + SECOND));
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
            Aim there = aim.with(Sets.both(aim.wanted(), domain.hits()), Sets.both(aim.unwanted(), domain.hits()));
            Optional<Clause> clause = clause(there, words);
            if (clause.isEmpty()) {
                return Optional.empty();
            }
            Clause from = new Clause(Where.SENDER_DOMAIN, List.of(domain.value()), domain.hits(), 0);
            each.add(all(from, clause.get()));
            hits.or(Sets.both(domain.hits(), clause.get().hits()));
            effort += from.effort() + clause.get().effort();
        }
        return each.size() < 2 || each.size() > 4
                ? Optional.empty()
                : Optional.of(new Option(new Group(Group.Quantifier.ANY, each), hits, effort));
    }

    /** Lower is better. What it takes beyond examples weighs little, as they are not all there are. */
    private double score(Option option) {
        int taken = option.hits().cardinality();
        double elsewhere = Math.log(1 + (double) taken / aim.wanted().cardinality());
        return aim.fault(option.hits())
                + option.effort()
                + broad(taken)
                + (aim.unwanted().isEmpty() ? 0.15 : 0.02) * elsewhere;
    }

    private Suggestion suggestion(Option option) {
        BitSet wrong = aim.whole() ? new BitSet() : Sets.both(aim.unwanted(), option.hits());
        BitSet elsewhere = Sets.without(Sets.without(option.hits(), aim.wanted()), wrong);
        return new Suggestion(
                option.criterion(),
                newestFirst(Sets.without(aim.wanted(), option.hits())),
                newestFirst(wrong),
                newestFirst(elsewhere));
    }

    private static List<Integer> newestFirst(BitSet places) {
        return places.stream().boxed().sorted(Comparator.reverseOrder()).toList();
    }
}
