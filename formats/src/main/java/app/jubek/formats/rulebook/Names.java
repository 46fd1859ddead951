package app.jubek.formats.rulebook;

import app.jubek.core.criteria.AddressCriterion;
import app.jubek.core.criteria.MessagePart;
import app.jubek.core.criteria.NumberCriterion;
import app.jubek.core.criteria.OrderCriterion;
import app.jubek.core.criteria.Relation;
import app.jubek.core.criteria.Trait;
import app.jubek.core.matching.Comparison;
import app.jubek.core.matching.MatchType;
import app.jubek.core.message.SentBy;
import app.jubek.core.schedule.Schedule;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/** Names that the format has for the constants of the engine, both ways. */
final class Names<T> {
    static final Names<MessagePart.Kind> PARTS = new Names<MessagePart.Kind>(MessagePart.Kind.values(), Names::lower)
            .but(MessagePart.Kind.ADDED_TEXT, "what the sender added")
            .but(MessagePart.Kind.SUBJECT_OR_ADDED_TEXT, "subject or what the sender added");
    static final Names<AddressCriterion.AddressField> ADDRESS_PARTS = new Names<AddressCriterion.AddressField>(
                    AddressCriterion.AddressField.values(), Names::lower)
            .but(AddressCriterion.AddressField.ANY, "any address");
    static final Names<AddressCriterion.AddressMatch> ADDRESS_HOWS =
            new Names<>(AddressCriterion.AddressMatch.values(), Names::lower);
    static final Names<MatchType> HOWS =
            new Names<MatchType>(MatchType.values(), Names::lower).but(MatchType.WORDS, "whole words");
    static final Names<Comparison> COMPARISONS = new Names<>(Comparison.values(), Names::lower);
    static final Names<MessagePart.Piece> PIECES = new Names<>(MessagePart.Piece.values(), Names::lower);
    static final Names<NumberCriterion.Measure> MEASURES = new Names<>(NumberCriterion.Measure.values(), Names::lower);
    static final Names<Relation> RELATIONS = new Names<>(Relation.values(), Names::lower);
    static final Names<OrderCriterion.Order> ORDERS = new Names<>(OrderCriterion.Order.values(), Names::lower);
    static final Names<SentBy> SENDERS = new Names<>(SentBy.values(), Names::lower);
    static final Names<Trait.Relationship> RELATIONSHIPS = new Names<>(Trait.Relationship.values(), Names::lower);

    static final Names<Schedule.Hours> HOURS = new Names<Schedule.Hours>(Schedule.Hours.values(), Names::lower)
            .but(Schedule.Hours.INSIDE, "inside opening hours")
            .but(Schedule.Hours.OUTSIDE, "outside opening hours");

    private final Map<String, T> byName = new LinkedHashMap<>();
    private final Map<T, String> names = new LinkedHashMap<>();

    private Names(T[] values, Function<T, String> name) {
        for (T value : values) {
            but(value, name.apply(value));
        }
    }

    private Names<T> but(T value, String name) {
        byName.remove(names.put(value, name));
        byName.put(name, value);
        return this;
    }

    private static String lower(Object constant) {
        return constant.toString().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    Optional<T> find(String name) {
        return Optional.ofNullable(byName.get(name));
    }

    String of(T value) {
        return names.get(value);
    }

    Set<String> all() {
        return byName.keySet();
    }
}
