package app.jubek.core.explain;

import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.Group;
import app.jubek.core.criteria.Hits;
import app.jubek.core.criteria.Searchable;
import app.jubek.core.criteria.SimpleCriterion;
import app.jubek.core.criteria.TextCriterion;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Almost picked out: one criterion of an all-of group would have to turn while another, positive one holds; or one word of
 * a single phrase.
 */
public final class NearMiss {
    /** Of more phrases than that, nearly every text is one word off from some. */
    private static final int MOST_PHRASES = 100;

    private NearMiss() {}

    /** The one phrase test that a message does not meet, though all words of a phrase but one stand in it. */
    public static Optional<TextCriterion> byOneWord(Criterion picksOut, Searchable message) {
        List<SimpleCriterion> tests = picksOut.tests();
        boolean single = tests.size() == 1
                && tests.get(0) instanceof TextCriterion test
                && !test.negated()
                && test.values().size() <= MOST_PHRASES;
        return single && !tests.get(0).holds(message)
                ? Optional.of((TextCriterion) tests.get(0)).filter(test -> isOneWordOff(test, message))
                : Optional.empty();
    }

    private static boolean isOneWordOff(TextCriterion test, Searchable message) {
        return test.part().atoms().stream()
                .flatMap(atom -> message.texts(atom, test.comparison()).stream())
                .anyMatch(text -> test.values().stream().anyMatch(value -> value.isOneWordOff(text)));
    }

    /**
     * What near misses by one criterion meet: each leaves out one criterion of an all-of group, and has a positive one. A
     * message that meets one of them, and not the whole, is a near miss.
     */
    public static List<Criterion> narrowed(Criterion picksOut) {
        if (!(picksOut instanceof Group group) || group.how() != Group.Quantifier.ALL) {
            return List.of();
        }
        List<Criterion> narrowed = new ArrayList<>();
        for (int i = 0; i < group.criteria().size(); i++) {
            List<Criterion> rest = new ArrayList<>(group.criteria());
            rest.remove(i);
            if (rest.stream().anyMatch(NearMiss::isPositive)) {
                narrowed.add(new Group(Group.Quantifier.ALL, rest));
            }
        }
        return narrowed;
    }

    private static boolean isPositive(Criterion criterion) {
        return criterion instanceof SimpleCriterion test && !test.negated();
    }

    /** The one criterion that fails, or empty when the message is no near miss. */
    public static Optional<Criterion> of(Criterion picksOut, Hits hits) {
        if (!(picksOut instanceof Group group) || group.how() != Group.Quantifier.ALL) {
            return Optional.empty();
        }
        Optional<Criterion> failing = Optional.empty();
        boolean positiveHolds = false;
        for (Criterion criterion : group.criteria()) {
            boolean holds = criterion.holds(hits);
            if (!holds && failing.isPresent()) {
                return Optional.empty();
            }
            failing = holds ? failing : Optional.of(criterion);
            positiveHolds |= holds && isPositive(criterion);
        }
        return positiveHolds ? failing : Optional.empty();
    }
}
