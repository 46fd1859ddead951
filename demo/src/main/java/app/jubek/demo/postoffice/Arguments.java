package app.jubek.demo.postoffice;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;

/** Arguments of the form {@code --name value}. */
final class Arguments {
    private final Map<String, String> values = new HashMap<>();

    Arguments(String[] given) {
        for (int i = 0; i + 1 < given.length; i += 2) {
            if (!given[i].startsWith("--")) {
                throw new IllegalArgumentException("expected --name before " + given[i]);
            }
            values.put(given[i].substring(2), given[i + 1]);
        }
    }

    Optional<String> optional(String name) {
        return Optional.ofNullable(values.get(name));
    }

    String text(String name) {
        return optional(name).orElseThrow(() -> new IllegalArgumentException("missing --" + name));
    }

    int number(String name) {
        return Integer.parseInt(text(name));
    }
}
