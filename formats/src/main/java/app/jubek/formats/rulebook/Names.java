package app.jubek.formats.rulebook;

import app.jubek.core.criteria.AddressTest;
import app.jubek.core.criteria.NumberTest;
import app.jubek.core.criteria.OrderTest;
import app.jubek.core.criteria.Part;
import app.jubek.core.criteria.Relation;
import app.jubek.core.criteria.Trait;
import app.jubek.core.message.SentBy;
import app.jubek.core.schedule.Schedule;
import app.jubek.core.text.Comparison;
import app.jubek.core.text.How;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/** Names that the format has for the constants of the engine, both ways. */
final class Names<T> {
    static final Names<Part.Kind> PARTS = new Names<Part.Kind>(Part.Kind.values(), Names::lower)
            .but(Part.Kind.ADDED_TEXT, "what the writer added")
            .but(Part.Kind.SUBJECT_OR_ADDED_TEXT, "subject or what the writer added");
    static final Names<AddressTest.Part> ADDRESS_PARTS = new Names<AddressTest.Part>(
                    AddressTest.Part.values(), Names::lower)
            .but(AddressTest.Part.ANY, "any address");
    static final Names<AddressTest.How> ADDRESS_HOWS = new Names<>(AddressTest.How.values(), Names::lower);
    static final Names<How> HOWS = new Names<How>(How.values(), Names::lower).but(How.WORDS, "whole words");
    static final Names<Comparison> COMPARISONS = new Names<>(Comparison.values(), Names::lower);
    static final Names<Part.Piece> PIECES = new Names<>(Part.Piece.values(), Names::lower);
    static final Names<NumberTest.Measure> MEASURES = new Names<>(NumberTest.Measure.values(), Names::lower);
    static final Names<Relation> RELATIONS = new Names<>(Relation.values(), Names::lower);
    static final Names<OrderTest.Order> ORDERS = new Names<>(OrderTest.Order.values(), Names::lower);
    static final Names<SentBy> SENDERS = new Names<>(SentBy.values(), Names::lower);
    static final Names<Trait.Standing> STANDINGS = new Names<>(Trait.Standing.values(), Names::lower);

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
