package app.jubek.core.matching;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Which of many values take all that others take: found in one pass over them, however many they are. */
public final class Covers {
    private final List<Value> values;
    /** The first value that each string stands for. */
    private final Map<String, Integer> byString = new LinkedHashMap<>();

    private final PhraseIndex index;
    private final List<String> strings;

    private Covers(List<Value> values) {
        this.values = values;
        for (int i = 0; i < values.size(); i++) {
            Value value = values.get(i);
            if (value.isPlainlyPlaced() && !value.compared().isEmpty()) {
                byString.putIfAbsent(value.compared(), i);
            }
        }
        strings = List.copyOf(byString.keySet());
        index = PhraseIndex.of(strings);
    }

    /** For each of some values the first other one that covers it; of two alike the first covers. */
    public static List<Optional<Integer>> among(List<Value> values) {
        Covers covers = new Covers(values);
        Map<Value, Integer> alike = new HashMap<>();
        List<Optional<Integer>> covered = new ArrayList<>();
        for (int i = 0; i < values.size(); i++) {
            Optional<Integer> first = Optional.ofNullable(alike.putIfAbsent(values.get(i), i));
            Optional<Integer> other = covers.of(values.get(i));
            covered.add(earlier(first, other));
        }
        return covered;
    }

    /** Whether each of some values is covered by one of others. */
    public static boolean all(List<Value> others, List<Value> covering) {
        Covers covers = new Covers(covering);
        Set<Value> alike = new HashSet<>(covering);
        return others.stream()
                .allMatch(other -> alike.contains(other) || covers.of(other).isPresent());
    }

    private static Optional<Integer> earlier(Optional<Integer> one, Optional<Integer> other) {
        return one.isPresent() && other.isPresent()
                ? Optional.of(Math.min(one.get(), other.get()))
                : one.or(() -> other);
    }

    /** The first value, another than this one, that covers it. */
    private Optional<Integer> of(Value value) {
        if (!value.isPlainlyPlaced()) {
            return Optional.empty();
        }
        int[] first = {Integer.MAX_VALUE};
        char[] units = value.compared().toCharArray();
        index.scan(units, units.length, (string, start, end) -> {
            int candidate = byString.get(strings.get(string));
            boolean covers = !values.get(candidate).equals(value)
                    && values.get(candidate).covers(value);
            first[0] = covers ? Math.min(first[0], candidate) : first[0];
        });
        return first[0] == Integer.MAX_VALUE ? Optional.empty() : Optional.of(first[0]);
    }
}
