package app.jubek.core.matching;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A pattern of {@code *} (any units, also none), {@code ?} (one character) and units that stand for themselves; a
 * backslash makes the next one stand for itself. It spans the whole text (RFC 5228 §2.7.1).
 */
final class Wildcard {
    private static final char ANY = '*';
    private static final char ONE = '?';

    private final char[] units;
    private final boolean[] wild;
    private final List<String> literals;

    private Wildcard(char[] units, boolean[] wild, List<String> literals) {
        this.units = units;
        this.wild = wild;
        this.literals = literals;
    }

    static Wildcard of(String written, Comparison comparison) {
        StringBuilder units = new StringBuilder();
        List<Integer> wild = new ArrayList<>();
        List<String> literals = new ArrayList<>();
        StringBuilder literal = new StringBuilder();
        for (int i = 0; i < written.length(); i++) {
            char unit = written.charAt(i);
            if (unit == ANY || unit == ONE) {
                take(literal, comparison, units, literals);
                wild.add(units.length());
                units.append(unit);
            } else {
                boolean escapes = unit == '\\' && i + 1 < written.length();
                literal.append(escapes ? written.charAt(++i) : unit);
            }
        }
        take(literal, comparison, units, literals);
        boolean[] isWild = new boolean[units.length()];
        wild.forEach(at -> isWild[at] = true);
        return new Wildcard(units.toString().toCharArray(), isWild, List.copyOf(literals));
    }

    private static void take(StringBuilder literal, Comparison comparison, StringBuilder units, List<String> literals) {
        String compared = comparison.apply(literal.toString());
        literal.setLength(0);
        units.append(compared);
        if (!compared.isEmpty()) {
            literals.add(compared);
        }
    }

    /** A string that stands in every text this one matches. */
    Optional<String> needed() {
        return literals.stream().reduce((a, b) -> b.length() > a.length() ? b : a);
    }

    boolean matches(char[] text, int length) {
        int at = 0;
        int in = 0;
        int star = -1;
        int mark = 0;
        while (at < length) {
            if (in < units.length && wild[in] && units[in] == ANY) {
                star = in++;
                mark = at;
            } else if (in < units.length && (wild[in] || units[in] == text[at])) {
                at += wild[in] ? size(text, length, at) : 1;
                in++;
            } else if (star >= 0) {
                in = star + 1;
                at = ++mark;
            } else {
                return false;
            }
        }
        while (in < units.length && wild[in] && units[in] == ANY) {
            in++;
        }
        return in == units.length;
    }

    private static int size(char[] text, int length, int at) {
        return Character.isHighSurrogate(text[at]) && at + 1 < length ? 2 : 1;
    }
}
