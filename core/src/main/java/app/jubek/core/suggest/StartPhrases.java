package app.jubek.core.suggest;

import app.jubek.core.matching.Folding;
import app.jubek.core.text.WhiteSpace;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Phrases of one message that are worth beginning with. */
final class StartPhrases {
    private static final int MOST = 3;

    private StartPhrases() {}

    /** The phrase of the subject that most of the mail of the same kind or sender shares and least of the others'. */
    static Optional<Candidate> first(List<Candidate> candidates, Optional<BitSet> alike) {
        return candidates.stream()
                .filter(c -> c.where() == Where.SUBJECT)
                .max(Comparator.comparingDouble((Candidate c) -> worth(c, alike))
                        .thenComparing(c -> c.value().length()));
    }

    private static double worth(Candidate phrase, Optional<BitSet> alike) {
        int together = alike.map(phrase::among).orElse(phrase.matches());
        double own = (double) together / phrase.matches();
        int words = WhiteSpace.words(phrase.value()).size();
        return Math.log(1 + together) * (0.4 + 0.6 * own) * (1 + 0.35 * (Math.min(words, 3) - 1));
    }

    /** The next best phrases, none of which lies within another or one that is kept, or the other way round. */
    static List<Candidate> further(List<Candidate> candidates, List<Candidate> kept) {
        List<Candidate> best = candidates.stream()
                .filter(c -> c.where().isText() && c.matches() > 1)
                .sorted(Comparator.comparingDouble((Candidate c) -> -worth(c, Optional.empty())))
                .toList();
        List<Candidate> chosen = new ArrayList<>();
        for (Candidate phrase : best) {
            boolean apart = Stream.concat(kept.stream(), chosen.stream()).noneMatch(other -> overlap(phrase, other));
            if (apart && chosen.size() < MOST) {
                chosen.add(phrase);
            }
        }
        return chosen;
    }

    private static boolean overlap(Candidate one, Candidate other) {
        String phrase = Folding.fold(one.value());
        String known = Folding.fold(other.value());
        return phrase.contains(known) || known.contains(phrase);
    }
}
