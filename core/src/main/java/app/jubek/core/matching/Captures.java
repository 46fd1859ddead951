package app.jubek.core.matching;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/** What the groups of a pattern take out of a text. Letter case does not matter. */
public final class Captures {
    private static final com.google.re2j.Pattern NAMED =
            com.google.re2j.Pattern.compile("\\(\\?P?<([A-Za-z][A-Za-z0-9_]*)>");

    private final Pattern pattern;
    private final List<String> names;

    private Captures(Pattern pattern, List<String> names) {
        this.pattern = pattern;
        this.names = names;
    }

    /**
     * @param pattern in RE2 syntax
     * @throws IllegalArgumentException when it is no pattern, or too large a one
     */
    public static Captures of(String pattern) {
        List<String> names = new ArrayList<>();
        com.google.re2j.Matcher named = NAMED.matcher(pattern);
        while (named.find()) {
            names.add(named.group(1));
        }
        return new Captures(Pattern.of(pattern, Comparison.FOLDED), List.copyOf(names));
    }

    /** Names of its groups, as written {@code (?P<name>…)}. */
    public List<String> names() {
        return names;
    }

    /** Its first group at each place where it is found in the first 64 KiB; all that is found where it has none. */
    public List<String> all(String text) {
        return pattern.firstGroups(Value.seen(text));
    }

    /** Its named groups at the first place where it is found. */
    public Map<String, String> named(String text) {
        Map<String, String> values = new TreeMap<>();
        for (String name : names) {
            pattern.group(name, Value.seen(text)).ifPresent(value -> values.put(name, value));
        }
        return values;
    }
}
