package app.jubek.formats.rulebook;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import tools.jackson.databind.JsonNode;

/** One place in a document being read; faults of all places go into one list. */
final class Reading {
    private final JsonNode node;
    private final String path;
    private final List<Fault> faults;

    private Reading(JsonNode node, String path, List<Fault> faults) {
        this.node = node;
        this.path = path;
        this.faults = faults;
    }

    static Reading of(JsonNode node) {
        return new Reading(node, "", new ArrayList<>());
    }

    Optional<Fault> firstFault() {
        return faults.stream().findFirst();
    }

    void throwIfFaulty() {
        if (!faults.isEmpty()) {
            throw new FormatException(faults);
        }
    }

    void fault(String member, String message) {
        faults.add(new Fault(member.isEmpty() ? path : path + "/" + member, message));
    }

    void check(boolean holds, String member, String message) {
        if (!holds) {
            fault(member, message);
        }
    }

    void only(Set<String> members) {
        if (!node.isObject()) {
            fault("", "must be an object");
            return;
        }
        for (String name : node.propertyNames()) {
            check(members.contains(name), name, "is not known here; known are " + String.join(", ", sorted(members)));
        }
    }

    boolean isObject() {
        return node.isObject();
    }

    boolean has(String member) {
        return node.has(member);
    }

    String text(String member) {
        JsonNode value = node.path(member);
        if (!value.isString()) {
            fault(member, value.isMissingNode() ? "is missing" : "must be text");
            return "";
        }
        return value.stringValue();
    }

    String text(String member, String otherwise) {
        return has(member) ? text(member) : otherwise;
    }

    int number(String member, int otherwise) {
        JsonNode value = node.path(member);
        if (value.isMissingNode()) {
            return otherwise;
        }
        check(value.isInt(), member, "must be a whole number");
        return value.isInt() ? value.intValue() : otherwise;
    }

    long wholeNumber(String member) {
        JsonNode value = node.path(member);
        check(value.isIntegralNumber() && value.canConvertToLong(), member, "must be a whole number");
        return value.isIntegralNumber() ? value.longValue() : 0;
    }

    boolean flag(String member) {
        JsonNode value = node.path(member);
        check(value.isMissingNode() || value.isBoolean(), member, "must be true or false");
        return value.isBoolean() && value.booleanValue();
    }

    /** One of a few words; the preset where there is none. */
    <E extends Enum<E>> Optional<E> choice(String member, E[] known, E preset) {
        if (!has(member)) {
            return Optional.of(preset);
        }
        String written = text(member);
        Optional<E> found =
                Arrays.stream(known).filter(one -> word(one).equals(written)).findFirst();
        String all = Arrays.stream(known).map(Reading::word).collect(Collectors.joining(", "));
        check(found.isPresent(), member, "\"" + written + "\" is not known here; known are " + all);
        return found;
    }

    /** A constant as it is written: small letters, and spaces for underscores. */
    static String word(Enum<?> constant) {
        return constant.name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    <T> List<T> list(String member, Function<Reading, Optional<T>> each) {
        JsonNode array = node.path(member);
        List<T> all = new ArrayList<>();
        if (!array.isArray()) {
            fault(member, array.isMissingNode() ? "is missing" : "must be a list");
            return all;
        }
        for (int i = 0; i < array.size(); i++) {
            each.apply(new Reading(array.get(i), path + "/" + member + "/" + i, faults))
                    .ifPresent(all::add);
        }
        return all;
    }

    /** A list of texts, each made into a value; what a constructor refuses is a fault at that text. */
    <T> List<T> texts(String member, Function<String, T> each) {
        return list(member, at -> {
            if (!at.node.isString()) {
                at.fault("", "must be text");
                return Optional.empty();
            }
            return at.attempt(() -> each.apply(at.node.stringValue()));
        });
    }

    <T> Optional<T> optional(String member, Function<Reading, Optional<T>> read) {
        return has(member) ? read.apply(new Reading(node.get(member), path + "/" + member, faults)) : Optional.empty();
    }

    /** Makes a value; what its constructor refuses is a fault here, said once. */
    <T> Optional<T> attempt(Supplier<T> make) {
        int before = faults.size();
        try {
            return Optional.of(make.get());
        } catch (IllegalArgumentException refused) {
            if (faults.size() == before) {
                fault("", String.valueOf(refused.getMessage()));
            }
            return Optional.empty();
        }
    }

    <T> T made(Supplier<T> otherwise, Supplier<T> make) {
        return attempt(make).orElseGet(otherwise);
    }

    private static List<String> sorted(Set<String> names) {
        return names.stream().sorted().toList();
    }
}
