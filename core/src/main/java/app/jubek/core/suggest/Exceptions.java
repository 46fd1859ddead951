package app.jubek.core.suggest;

import app.jubek.core.corpus.Corpus;
import app.jubek.core.criteria.Criterion;
import app.jubek.core.people.OwnSide;
import app.jubek.core.text.WhiteSpace;
import java.util.BitSet;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/** What an exception could say so that a rule leaves a message out and little else. */
public final class Exceptions {
    private static final int MOST = 3;
    private static final double GOOD_PART = 0.34;

    private Exceptions() {}

    /**
     * @param excludes messages that the rule picks and would not any more, the one it is for among them
     */
    public record Excluded(Criterion criterion, int excludes, int keeps) {}

    /**
     * @param picked places of the messages that the rule picks
     * @param place the message to leave out
     */
    public static List<Excluded> of(Corpus.View past, List<Integer> picked, int place, OwnSide own) {
        BitSet all = new BitSet();
        picked.forEach(all::set);
        Set<BitSet> known = new HashSet<>();
        return new Candidates(past, own)
                .of(List.of(place)).stream()
                        .filter(c -> c.among(all) <= Math.max(1, GOOD_PART * picked.size()))
                        .sorted(Comparator.comparingDouble((Candidate c) -> -worth(c, c.among(all))))
                        .filter(c -> known.add(Sets.both(c.hits(), all)))
                        .limit(MOST)
                        .map(c -> new Excluded(
                                c.where().test(List.of(c.value())), c.among(all), picked.size() - c.among(all)))
                        .toList();
    }

    /** Words of the subject before others; two or three words; a few messages rather than this one alone. */
    private static double worth(Candidate candidate, int excludes) {
        int words = candidate.where().isText()
                ? Math.min(3, WhiteSpace.words(candidate.value()).size())
                : 2;
        return Math.log(1 + excludes) * (1 + 0.35 * words) / candidate.where().effort();
    }
}
