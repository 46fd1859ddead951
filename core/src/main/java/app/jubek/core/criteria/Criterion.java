package app.jubek.core.criteria;

import app.jubek.core.wording.Statement;
import java.util.List;

/**
 * What picks a message out: one test, a group of criteria, everything or nothing.
 *
 * <p>Laws: a negated test holds exactly where the test does not; {@link Everything} holds for every message and {@link
 * Nothing} for none; "none of" is the negation of "any of".
 */
public sealed interface Criterion permits SimpleCriterion, Group, Everything, Nothing {

    boolean holds(Hits hits);

    /** All tests inside, in order. */
    default List<SimpleCriterion> tests() {
        if (this instanceof SimpleCriterion test) {
            return List.of(test);
        }
        return this instanceof Group group
                ? group.criteria().stream()
                        .flatMap(inner -> inner.tests().stream())
                        .toList()
                : List.of();
    }

    /** The same with another criterion wherever one stands in it. */
    default Criterion replacing(Criterion old, Criterion now) {
        if (equals(old)) {
            return now;
        }
        return this instanceof Group group
                ? new Group(
                        group.how(),
                        group.criteria().stream()
                                .map(inner -> inner.replacing(old, now))
                                .toList())
                : this;
    }

    /** A clause that can follow the word "mail": "from anyone at birkhall-school.example". */
    Statement statement();
}
