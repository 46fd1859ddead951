package app.jubek.formats.sieve.syntax;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** The arguments of one command or test, sorted into tags with what belongs to them, and the rest in order. */
public final class Arguments {
    private static final Set<String> WITH_VALUE = Set.of(
            "comparator",
            "count",
            "value",
            "zone",
            "days",
            "seconds",
            "subject",
            "from",
            "addresses",
            "handle",
            "flags",
            "specialuse",
            "content",
            "index",
            "over",
            "under");

    private final Place place;
    private final Map<String, Optional<Script.Argument>> tags = new LinkedHashMap<>();
    private final List<Script.Argument> rest = new ArrayList<>();

    private Arguments(Place place) {
        this.place = place;
    }

    public static Arguments of(List<Script.Argument> arguments, Place place) {
        Arguments sorted = new Arguments(place);
        for (int i = 0; i < arguments.size(); i++) {
            if (!(arguments.get(i) instanceof Script.Tag tag)) {
                sorted.rest.add(arguments.get(i));
                continue;
            }
            boolean followed = i + 1 < arguments.size() && !(arguments.get(i + 1) instanceof Script.Tag);
            if (WITH_VALUE.contains(tag.name()) && followed) {
                sorted.tags.put(tag.name(), Optional.of(arguments.get(++i)));
            } else {
                sorted.tags.put(tag.name(), Optional.empty());
            }
        }
        return sorted;
    }

    public Place place() {
        return place;
    }

    public boolean has(String tag) {
        return tags.containsKey(tag);
    }

    public Set<String> tags() {
        return tags.keySet();
    }

    /** The string that belongs to a tag. */
    public Optional<String> string(String tag) {
        return strings(tag).map(list -> list.get(0));
    }

    public Optional<List<String>> strings(String tag) {
        return Optional.ofNullable(tags.get(tag)).flatMap(value -> value).map(argument -> {
            if (argument instanceof Script.Strings strings) {
                return strings.values();
            }
            throw new SieveSyntaxException(argument.place(), "a string must follow \":" + tag + "\"");
        });
    }

    public Optional<Long> number(String tag) {
        return Optional.ofNullable(tags.get(tag)).flatMap(value -> value).map(argument -> {
            if (argument instanceof Script.Number number) {
                return number.value();
            }
            throw new SieveSyntaxException(argument.place(), "a number must follow \":" + tag + "\"");
        });
    }

    public int count() {
        return rest.size();
    }

    /** The string list at a position. */
    public List<String> list(int position, String what) {
        if (position < rest.size() && rest.get(position) instanceof Script.Strings strings) {
            return strings.values();
        }
        throw new SieveSyntaxException(
                position < rest.size() ? rest.get(position).place() : place, what + " is missing");
    }

    /** A list that may be left out. */
    public List<String> lastList() {
        return rest.isEmpty() ? List.of() : list(rest.size() - 1, "a string");
    }

    public String one(int position, String what) {
        return list(position, what).get(0);
    }
}
