package app.jubek.formats.rulebook;

import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.Everything;
import app.jubek.core.criteria.Group;
import app.jubek.core.criteria.Nothing;
import app.jubek.core.criteria.SimpleCriterion;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Criteria as JSON. */
final class CriterionJson {
    private CriterionJson() {}

    static Optional<Criterion> read(Reading at) {
        for (Group.Quantifier how : Group.Quantifier.values()) {
            String member = how.name().toLowerCase(Locale.ROOT);
            if (at.has(member)) {
                at.only(Set.of(member));
                return at.attempt(() -> new Group(how, at.list(member, CriterionJson::read)));
            }
        }
        if (at.has("everything")) {
            at.only(Set.of("everything"));
            at.check(at.flag("everything"), "everything", "can only be true");
            return Optional.of(new Everything());
        }
        if (!at.isObject()) {
            at.only(Set.of());
            return Optional.empty();
        }
        return SimpleCriterionReading.read(at);
    }

    static ObjectNode write(Criterion criterion) {
        if (criterion instanceof SimpleCriterion test) {
            return SimpleCriterionWriting.write(test);
        }
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        if (criterion instanceof Group group) {
            String member = group.how().name().toLowerCase(Locale.ROOT);
            group.criteria().forEach(inner -> node.withArray(member).add(write(inner)));
        } else if (criterion instanceof Everything) {
            node.put("everything", true);
        } else if (criterion instanceof Nothing) {
            throw new IllegalArgumentException("nothing is written by leaving it out");
        }
        return node;
    }
}
