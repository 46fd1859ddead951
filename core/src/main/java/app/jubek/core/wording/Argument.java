package app.jubek.core.wording;

import java.time.LocalDate;
import java.util.List;

/** What fills a place in a statement. */
public sealed interface Argument permits Argument.Text, Argument.Amount, Argument.Day, Argument.Several, Statement {

    /** Somebody's own words: a name, an address, what a server said. */
    record Text(String text) implements Argument {}

    /** A whole number, of which a language may have a singular and plurals. */
    record Amount(long number) implements Argument {}

    /** A day, written out as a language writes it. */
    record Day(LocalDate date) implements Argument {}

    /** Several things, joined as a language joins them. */
    record Several(Join join, List<Argument> items) implements Argument {
        public Several {
            items = List.copyOf(items);
        }
    }

    /** How several things are joined. */
    enum Join {
        AND,
        OR,
        COMMA
    }

    static Argument and(List<?> items) {
        return several(Join.AND, items);
    }

    static Argument or(List<?> items) {
        return several(Join.OR, items);
    }

    static Argument commas(List<?> items) {
        return several(Join.COMMA, items);
    }

    private static Argument several(Join join, List<?> items) {
        return new Several(join, items.stream().map(Argument::of).toList());
    }

    /**
     * @throws IllegalArgumentException when it is no text, whole number, day, code or argument
     */
    static Argument of(Object value) {
        if (value instanceof Argument argument) {
            return argument;
        }
        if (value instanceof Code code) {
            return Statement.of(code);
        }
        if (value instanceof Integer || value instanceof Long) {
            return new Amount(((Number) value).longValue());
        }
        if (value instanceof LocalDate date) {
            return new Day(date);
        }
        if (value instanceof String text) {
            return new Text(text);
        }
        throw new IllegalArgumentException("no argument of a statement: " + value.getClass());
    }
}
