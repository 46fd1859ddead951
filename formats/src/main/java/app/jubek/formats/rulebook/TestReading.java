package app.jubek.formats.rulebook;

import app.jubek.core.criteria.AddressTest;
import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.DatePieces;
import app.jubek.core.criteria.NumberTest;
import app.jubek.core.criteria.OrderTest;
import app.jubek.core.criteria.Part;
import app.jubek.core.criteria.PresentTest;
import app.jubek.core.criteria.Relation;
import app.jubek.core.criteria.TextTest;
import app.jubek.core.criteria.Trait;
import app.jubek.core.criteria.TraitTest;
import app.jubek.core.text.Comparison;
import app.jubek.core.text.How;
import app.jubek.core.text.Value;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/** One test from JSON. */
final class TestReading {
    private static final Set<Part.Kind> WITH_FIELD = EnumSet.of(Part.Kind.FIELD, Part.Kind.ADDRESS, Part.Kind.DATE);
    private static final Set<Part.Kind> WITH_PIECE =
            EnumSet.of(Part.Kind.ADDRESS, Part.Kind.RETURN_PATH, Part.Kind.DELIVERED_TO);
    private static final Set<How> AT_AN_END = EnumSet.of(How.IS, How.BEGINS, How.ENDS);
    private static final String PRESENT = "is present";

    private TestReading() {}

    static Optional<Criterion> read(Reading at) {
        String name = at.text("part");
        if (Names.MEASURES.find(name).isPresent()) {
            return number(at, Names.MEASURES.find(name).get());
        }
        switch (name) {
            case "sent by":
                return traits(at, value -> new Trait.Sent(known(Names.SENDERS, value)));
            case "group":
                return traits(at, Trait.InGroup::new);
            case "standing":
                return traits(at, value -> known(Names.STANDINGS, value));
            default:
                break;
        }
        Optional<AddressTest.How> how =
                at.has("piece") ? Optional.empty() : Names.ADDRESS_HOWS.find(at.text("how", ""));
        Optional<AddressTest.Part> address = Names.ADDRESS_PARTS.find(name);
        if (address.isPresent() && how.isPresent()) {
            return address(at, address.get(), how.get());
        }
        Optional<Part.Kind> kind = Names.PARTS.find(name);
        at.check(kind.isPresent() || name.isEmpty(), "part", "\"" + name + "\" is not known");
        return kind.flatMap(k -> ofPart(at, k));
    }

    private static Optional<Criterion> address(Reading at, AddressTest.Part part, AddressTest.How how) {
        at.only(Set.of("part", "how", "values", "not"));
        return at.attempt(() -> new AddressTest(
                part,
                how,
                at.texts(
                        "values",
                        value -> new AddressTest(part, how, List.of(value), false)
                                .values()
                                .get(0)),
                at.flag("not")));
    }

    private static Optional<Criterion> ofPart(Reading at, Part.Kind kind) {
        if (at.has("order")) {
            at.only(Set.of("part", "field", "piece", "how", "order", "values", "not"));
            Relation relation = known(at, "how", Names.RELATIONS, Relation.EQUAL);
            OrderTest.Order order = known(at, "order", Names.ORDERS, OrderTest.Order.EXACT);
            return at.attempt(
                    () -> new OrderTest(part(at, kind), relation, order, at.texts("values", v -> v), at.flag("not")));
        }
        if (at.text("how").equals(PRESENT)) {
            at.only(Set.of("part", "field", "piece", "how", "not"));
            return at.attempt(() -> new PresentTest(part(at, kind), at.flag("not")));
        }
        at.only(Set.of("part", "field", "piece", "how", "compare", "withPrefixes", "values", "not"));
        How how = known(at, "how", Names.HOWS, How.CONTAINS);
        Comparison comparison =
                at.has("compare") ? known(at, "compare", Names.COMPARISONS, Comparison.FOLDED) : Comparison.FOLDED;
        boolean bare = kind == Part.Kind.SUBJECT && AT_AN_END.contains(how) && !at.flag("withPrefixes");
        Part.Kind looked = bare ? Part.Kind.BARE_SUBJECT : kind;
        return at.attempt(() -> new TextTest(
                part(at, looked), at.texts("values", value -> Value.of(how, comparison, value)), at.flag("not")));
    }

    private static Part part(Reading at, Part.Kind kind) {
        boolean withField = WITH_FIELD.contains(kind);
        at.check(withField || !at.has("field"), "field", "is for the parts field, address and date");
        at.check(WITH_PIECE.contains(kind) || !at.has("piece"), "piece", "is for addresses in a field or the envelope");
        String field = withField ? at.text("field") : "";
        Part.Piece piece = at.has("piece") ? known(at, "piece", Names.PIECES, Part.Piece.ALL) : Part.Piece.ALL;
        if (kind == Part.Kind.DATE) {
            DatePieces.checked(field);
        }
        return new Part(kind, field, piece);
    }

    private static Optional<Criterion> number(Reading at, NumberTest.Measure measure) {
        at.only(Set.of("part", "of", "how", "value", "not"));
        Relation relation = known(at, "how", Names.RELATIONS, Relation.OVER);
        List<Part> of = at.has("of") ? at.list("of", TestReading::counted) : List.of();
        return at.attempt(() -> new NumberTest(measure, of, relation, at.wholeNumber("value"), at.flag("not")));
    }

    private static Optional<Part> counted(Reading at) {
        at.only(Set.of("part", "field", "piece"));
        Optional<Part.Kind> kind = Names.PARTS.find(at.text("part"));
        at.check(kind.isPresent(), "part", "is not known");
        return kind.map(k -> part(at, k));
    }

    private static Optional<Criterion> traits(Reading at, Function<String, Trait> each) {
        at.only(Set.of("part", "how", "values", "not"));
        at.check(at.text("how", "is").equals("is"), "how", "must be \"is\" here");
        return at.attempt(() -> new TraitTest(at.texts("values", each), at.flag("not")));
    }

    private static <T> T known(Names<T> names, String name) {
        return names.find(name)
                .orElseThrow(() -> new IllegalArgumentException(
                        "\"" + name + "\" is not known; known are " + String.join(", ", names.all())));
    }

    private static <T> T known(Reading at, String member, Names<T> names, T otherwise) {
        String name = at.text(member);
        Optional<T> found = names.find(name);
        at.check(
                found.isPresent() || name.isEmpty(),
                member,
                "\"" + name + "\" is not known here; known are " + String.join(", ", names.all()));
        return found.orElse(otherwise);
    }
}
