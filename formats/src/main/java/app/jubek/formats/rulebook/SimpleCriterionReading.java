package app.jubek.formats.rulebook;

import app.jubek.core.criteria.AddressCriterion;
import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.MessagePart;
import app.jubek.core.criteria.NumberCriterion;
import app.jubek.core.criteria.OrderCriterion;
import app.jubek.core.criteria.PresenceCriterion;
import app.jubek.core.criteria.Relation;
import app.jubek.core.criteria.TextCriterion;
import app.jubek.core.criteria.Trait;
import app.jubek.core.criteria.TraitCriterion;
import app.jubek.core.matching.Comparison;
import app.jubek.core.matching.MatchType;
import app.jubek.core.matching.Value;
import app.jubek.core.view.DatePieces;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/** One simple criterion from JSON. */
final class SimpleCriterionReading {
    private static final Set<MessagePart.Kind> WITH_FIELD =
            EnumSet.of(MessagePart.Kind.FIELD, MessagePart.Kind.ADDRESS, MessagePart.Kind.DATE);
    private static final Set<MessagePart.Kind> WITH_PIECE =
            EnumSet.of(MessagePart.Kind.ADDRESS, MessagePart.Kind.RETURN_PATH, MessagePart.Kind.DELIVERED_TO);
    private static final Set<MatchType> AT_AN_END = EnumSet.of(MatchType.IS, MatchType.BEGINS, MatchType.ENDS);
    private static final String PRESENT = "is present";

    private SimpleCriterionReading() {}

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
            case "relationship":
                return traits(at, value -> known(Names.RELATIONSHIPS, value));
            default:
                break;
        }
        Optional<AddressCriterion.AddressMatch> how =
                at.has("piece") ? Optional.empty() : Names.ADDRESS_HOWS.find(at.text("how", ""));
        Optional<AddressCriterion.AddressField> address = Names.ADDRESS_PARTS.find(name);
        if (address.isPresent() && how.isPresent()) {
            return address(at, address.get(), how.get());
        }
        Optional<MessagePart.Kind> kind = Names.PARTS.find(name);
        at.check(kind.isPresent() || name.isEmpty(), "part", "\"" + name + "\" is not known");
        return kind.flatMap(k -> ofPart(at, k));
    }

    private static Optional<Criterion> address(
            Reading at, AddressCriterion.AddressField part, AddressCriterion.AddressMatch how) {
        at.only(Set.of("part", "how", "values", "not"));
        return at.attempt(() -> new AddressCriterion(
                part,
                how,
                at.texts(
                        "values",
                        value -> new AddressCriterion(part, how, List.of(value), false)
                                .values()
                                .get(0)),
                at.flag("not")));
    }

    private static Optional<Criterion> ofPart(Reading at, MessagePart.Kind kind) {
        if (at.has("order")) {
            at.only(Set.of("part", "field", "piece", "how", "order", "values", "not"));
            Relation relation = known(at, "how", Names.RELATIONS, Relation.EQUAL);
            OrderCriterion.Order order = known(at, "order", Names.ORDERS, OrderCriterion.Order.EXACT);
            return at.attempt(() ->
                    new OrderCriterion(part(at, kind), relation, order, at.texts("values", v -> v), at.flag("not")));
        }
        if (at.text("how").equals(PRESENT)) {
            at.only(Set.of("part", "field", "piece", "how", "not"));
            return at.attempt(() -> new PresenceCriterion(part(at, kind), at.flag("not")));
        }
        at.only(Set.of("part", "field", "piece", "how", "compare", "withPrefixes", "values", "not"));
        MatchType how = known(at, "how", Names.HOWS, MatchType.CONTAINS);
        Comparison comparison =
                at.has("compare") ? known(at, "compare", Names.COMPARISONS, Comparison.FOLDED) : Comparison.FOLDED;
        boolean bare = kind == MessagePart.Kind.SUBJECT && AT_AN_END.contains(how) && !at.flag("withPrefixes");
        MessagePart.Kind looked = bare ? MessagePart.Kind.BARE_SUBJECT : kind;
        return at.attempt(() -> new TextCriterion(
                part(at, looked), at.texts("values", value -> Value.of(how, comparison, value)), at.flag("not")));
    }

    private static MessagePart part(Reading at, MessagePart.Kind kind) {
        boolean withField = WITH_FIELD.contains(kind);
        at.check(withField || !at.has("field"), "field", "is for the parts field, address and date");
        at.check(WITH_PIECE.contains(kind) || !at.has("piece"), "piece", "is for addresses in a field or the envelope");
        String field = withField ? at.text("field") : "";
        MessagePart.Piece piece =
                at.has("piece") ? known(at, "piece", Names.PIECES, MessagePart.Piece.ALL) : MessagePart.Piece.ALL;
        if (kind == MessagePart.Kind.DATE) {
            DatePieces.checked(field);
        }
        return new MessagePart(kind, field, piece);
    }

    private static Optional<Criterion> number(Reading at, NumberCriterion.Measure measure) {
        at.only(Set.of("part", "of", "how", "value", "not"));
        Relation relation = known(at, "how", Names.RELATIONS, Relation.OVER);
        List<MessagePart> of = at.has("of") ? at.list("of", SimpleCriterionReading::counted) : List.of();
        return at.attempt(() -> new NumberCriterion(measure, of, relation, at.wholeNumber("value"), at.flag("not")));
    }

    private static Optional<MessagePart> counted(Reading at) {
        at.only(Set.of("part", "field", "piece"));
        Optional<MessagePart.Kind> kind = Names.PARTS.find(at.text("part"));
        at.check(kind.isPresent(), "part", "is not known");
        return kind.map(k -> part(at, k));
    }

    private static Optional<Criterion> traits(Reading at, Function<String, Trait> each) {
        at.only(Set.of("part", "how", "values", "not"));
        at.check(at.text("how", "is").equals("is"), "how", "must be \"is\" here");
        return at.attempt(() -> new TraitCriterion(at.texts("values", each), at.flag("not")));
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
