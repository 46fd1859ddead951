package app.jubek.formats.rulebook;

import app.jubek.core.criteria.AddressTest;
import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.Everything;
import app.jubek.core.criteria.Group;
import app.jubek.core.criteria.Nothing;
import app.jubek.core.criteria.Test;
import app.jubek.core.criteria.TextTest;
import app.jubek.core.text.Phrase;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Criteria as JSON. */
final class CriterionJson {
    private static final Map<String, AddressTest.Part> ADDRESS_PARTS =
            Map.of("sender", AddressTest.Part.SENDER, "recipient", AddressTest.Part.RECIPIENT);
    private static final Map<String, AddressTest.How> ADDRESS_HOWS = Map.of(
            "is", AddressTest.How.IS,
            "at domain", AddressTest.How.AT_DOMAIN,
            "at domain or below", AddressTest.How.AT_DOMAIN_OR_BELOW);
    private static final Map<String, TextTest.Part> TEXT_PARTS = Map.of(
            "sender name", TextTest.Part.SENDER_NAME,
            "subject", TextTest.Part.SUBJECT,
            "text", TextTest.Part.TEXT,
            "subject or text", TextTest.Part.SUBJECT_OR_TEXT);
    private static final String CONTAINS = "contains";

    private CriterionJson() {}

    static Optional<Criterion> read(Reading at) {
        for (Group.How how : Group.How.values()) {
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
        return test(at);
    }

    private static Optional<Criterion> test(Reading at) {
        at.only(Set.of("part", "how", "values", "not"));
        String part = at.text("part");
        if (ADDRESS_PARTS.containsKey(part)) {
            return addressTest(at, ADDRESS_PARTS.get(part));
        }
        if (TEXT_PARTS.containsKey(part)) {
            at.check(at.text("how").equals(CONTAINS), "how", "for words must be \"" + CONTAINS + "\"");
            return at.attempt(() -> new TextTest(TEXT_PARTS.get(part), at.texts("values", Phrase::of), at.flag("not")));
        }
        at.check(part.isEmpty(), "part", "\"" + part + "\" is not known");
        return Optional.empty();
    }

    private static Optional<Criterion> addressTest(Reading at, AddressTest.Part part) {
        AddressTest.How how = ADDRESS_HOWS.get(at.text("how"));
        if (how == null) {
            at.fault("how", "for addresses must be \"is\", \"at domain\" or \"at domain or below\"");
            return Optional.empty();
        }
        return at.attempt(() -> new AddressTest(
                part,
                how,
                at.texts(
                        "values",
                        value -> new AddressTest(part, how, java.util.List.of(value), false)
                                .values()
                                .get(0)),
                at.flag("not")));
    }

    static ObjectNode write(Criterion criterion) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        if (criterion instanceof Group group) {
            String member = group.how().name().toLowerCase(Locale.ROOT);
            group.criteria().forEach(inner -> node.withArray(member).add(write(inner)));
        } else if (criterion instanceof Everything) {
            node.put("everything", true);
        } else if (criterion instanceof AddressTest test) {
            write(node, test, name(ADDRESS_PARTS, test.part()), name(ADDRESS_HOWS, test.how()));
        } else if (criterion instanceof TextTest test) {
            write(node, test, name(TEXT_PARTS, test.part()), CONTAINS);
        } else if (criterion instanceof Nothing) {
            throw new IllegalArgumentException("nothing is written by leaving it out");
        }
        return node;
    }

    private static void write(ObjectNode node, Test test, String part, String how) {
        node.put("part", part).put("how", how);
        test.written().forEach(value -> node.withArray("values").add(value));
        if (test.negated()) {
            node.put("not", true);
        }
    }

    private static <T> String name(Map<String, T> names, T value) {
        return names.entrySet().stream()
                .filter(e -> e.getValue() == value)
                .map(Map.Entry::getKey)
                .findFirst()
                .orElseThrow();
    }
}
