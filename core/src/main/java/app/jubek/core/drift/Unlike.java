package app.jubek.core.drift;

import app.jubek.core.address.MailAddress;
import app.jubek.core.corpus.Corpus;
import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.Group;
import app.jubek.core.people.OwnSide;
import app.jubek.core.recurring.Kind;
import app.jubek.core.rule.Rule;
import app.jubek.core.suggest.Exceptions;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.IntFunction;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Picked mail unlike the rest: of a kind, from a domain or to addresses that are new to a rule, in each of these respects in
 * which its mail hardly ever brought something new.
 */
final class Unlike {
    private static final int KNOWN_BY = 12;
    private static final int LEAST = 3;
    private static final int MOST_OF_ONE = 2;
    /** A rule picks mail of all sorts in a respect in which more than one message in so many is new. */
    private static final int ONE_IN = 8;

    private static final int FOR_ONE_OTHER = 4;

    private final Corpus.View past;
    private final int late;
    private final OwnSide own;
    private final List<IntFunction<String>> respects;

    Unlike(Corpus.View past, int late, List<Kind> kinds, OwnSide own) {
        this.past = past;
        this.late = late;
        this.own = own;
        Map<Integer, String> kindOf = new HashMap<>();
        kinds.forEach(kind -> kind.members().forEach(at -> kindOf.put(at, kind.key())));
        this.respects = List.of(at -> kindOf.getOrDefault(at, ""), this::senderDomain, this::recipients);
    }

    private String senderDomain(int at) {
        return past.message(at).message().sender().map(MailAddress::domain).orElse("");
    }

    private String recipients(int at) {
        return past.message(at).message().recipients().stream()
                .filter(to -> !own.isOwn(to))
                .map(MailAddress::key)
                .sorted()
                .collect(Collectors.joining(" "));
    }

    /**
     * @param picked messages that the rule picks
     */
    List<Drift> of(Rule rule, BitSet picked) {
        List<Integer> before = picked.get(0, late).stream().boxed().toList();
        if (before.size() < KNOWN_BY || picked.length() <= late) {
            return List.of();
        }
        List<IntFunction<String>> telling =
                respects.stream().filter(respect -> isTelling(respect, before)).toList();
        if (telling.isEmpty()) {
            return List.of();
        }
        return drifts(rule, picked, odd(picked, before, telling));
    }

    private BitSet odd(BitSet picked, List<Integer> before, List<IntFunction<String>> telling) {
        List<Set<String>> known = telling.stream()
                .map(respect -> before.stream().map(respect::apply).collect(Collectors.toSet()))
                .toList();
        BitSet odd = new BitSet();
        for (int at = picked.nextSetBit(late); at >= 0; at = picked.nextSetBit(at + 1)) {
            boolean fresh = true;
            for (int i = 0; i < telling.size(); i++) {
                fresh &= !known.get(i).contains(telling.get(i).apply(at));
            }
            if (fresh) {
                odd.set(at);
            }
        }
        return odd;
    }

    /** Whether what is new in this respect says something: in the later half of what was picked, hardly anything was. */
    private static boolean isTelling(IntFunction<String> respect, List<Integer> before) {
        Set<String> known = new HashSet<>();
        int half = before.size() / 2;
        int fresh = 0;
        for (int i = 0; i < before.size(); i++) {
            boolean isNew = known.add(respect.apply(before.get(i)));
            fresh += isNew && i >= half ? 1 : 0;
        }
        return fresh * ONE_IN <= before.size() - half;
    }

    private List<Drift> drifts(Rule rule, BitSet picked, BitSet odd) {
        List<Drift> found = new ArrayList<>();
        BitSet left = (BitSet) odd.clone();
        for (int at = left.length() - 1; at >= 0 && found.size() < MOST_OF_ONE; at = left.previousSetBit(at - 1)) {
            Optional<Drift> drift = exception(rule, picked, odd, at);
            drift.ifPresent(each -> left.andNot(each.shown()));
            drift.ifPresent(found::add);
        }
        return found;
    }

    private Optional<Drift> exception(Rule rule, BitSet picked, BitSet odd, int at) {
        Stream<Drift> all = Exceptions.of(past, picked.stream().boxed().toList(), at, own).stream()
                .map(Exceptions.Excluded::criterion)
                .map(criterion -> drift(rule, picked, odd, criterion));
        return all.filter(drift -> drift.shown().cardinality() >= LEAST
                        && FOR_ONE_OTHER * drift.others().cardinality()
                                <= drift.shown().cardinality())
                .findFirst();
    }

    private Drift drift(Rule rule, BitSet picked, BitSet odd, Criterion criterion) {
        BitSet shown = past.holding(criterion);
        shown.and(picked);
        BitSet others = (BitSet) shown.clone();
        shown.and(odd);
        others.andNot(odd);
        Rule changed = rule.leavingOut(Group.either(rule.leavesOut(), criterion));
        return new Drift(Drift.Sort.UNLIKE_THE_REST, rule, changed, criterion, shown, others);
    }
}
