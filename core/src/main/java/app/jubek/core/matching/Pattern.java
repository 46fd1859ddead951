package app.jubek.core.matching;

import app.jubek.core.text.Budget;
import app.jubek.core.text.Limits;
import com.google.re2j.Matcher;
import com.google.re2j.PatternSyntaxException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;

/** A pattern in RE2 syntax: its time grows with the text only, whatever is written in it. */
final class Pattern {
    private static final int READINGS = 16;

    private final com.google.re2j.Pattern compiled;
    private final String needed;

    private Pattern(com.google.re2j.Pattern compiled, String needed) {
        this.compiled = compiled;
        this.needed = needed;
    }

    /**
     * @throws IllegalArgumentException when it is no pattern, or one of more than 256 instructions
     */
    static Pattern of(String written, Comparison comparison) {
        try {
            int flags = comparison == Comparison.EXACT ? 0 : com.google.re2j.Pattern.CASE_INSENSITIVE;
            com.google.re2j.Pattern compiled = com.google.re2j.Pattern.compile(written, flags);
            int most = Limits.standard().patternInstructions();
            if (compiled.programSize() > most) {
                throw new IllegalArgumentException("the pattern \"" + written + "\" has " + compiled.programSize()
                        + " instructions, and " + most + " are allowed: make it simpler");
            }
            // Without folding, letter case is RE2's own matter, which knows letters beyond ASCII that are "k" or "s".
            return new Pattern(
                    compiled, comparison == Comparison.ASCII_CASE ? "" : comparison.apply(PatternLiteral.in(written)));
        } catch (PatternSyntaxException notOne) {
            throw new IllegalArgumentException("\"" + written + "\" is no pattern: " + notOne.getDescription()
                    + " at \"" + notOne.getPattern() + "\"");
        }
    }

    /** A string that stands in every text it is found in, where one can be told. */
    Optional<String> needed() {
        return Optional.of(needed).filter(s -> !s.isEmpty());
    }

    boolean isIn(CharSequence text) {
        return compiled.matcher(text).find();
    }

    /** Where it is found, at most so many times. */
    List<int[]> places(CharSequence text, int most) {
        List<int[]> places = new ArrayList<>();
        each(text, matcher -> {
            if (matcher.end() > matcher.start()) {
                places.add(new int[] {matcher.start(), matcher.end()});
            }
            return places.size() < most;
        });
        return places;
    }

    /**
     * At each place its first group; all that is found there where it has none, or where that took nothing. Nothing where
     * looking for every place would take too long.
     */
    List<String> firstGroups(CharSequence text) {
        List<String> found = new ArrayList<>();
        boolean all = each(text, matcher -> {
            String group = matcher.groupCount() > 0 ? matcher.group(1) : null;
            return found.add(group == null ? matcher.group() : group);
        });
        return all ? found : List.of();
    }

    /**
     * Goes from place to place while it is wanted. Looking for the next one may mean reading to the end, so after many
     * readings of the whole text it is enough.
     *
     * @return false when it was ended so
     */
    private boolean each(CharSequence text, Predicate<Matcher> goOn) {
        Readings readings = new Readings(READINGS * Math.max(1L, text.length()));
        Matcher matcher = compiled.matcher(readings.over(text));
        try {
            boolean more = true;
            while (more && matcher.find()) {
                more = goOn.test(matcher);
            }
        } catch (Budget.Spent spent) {
            if (!readings.isSpent()) {
                throw spent;
            }
            return false;
        }
        return true;
    }

    /** A budget of characters read. */
    private static final class Readings implements Budget {
        private long left;

        Readings(long characters) {
            left = characters / Budget.READS;
        }

        @Override
        public void ask() {
            if (left-- <= 0) {
                throw new Spent("the pattern was looked for long enough");
            }
        }

        boolean isSpent() {
            return left < 0;
        }
    }

    /** What a named group took at the first place. */
    Optional<String> group(String name, CharSequence text) {
        Matcher matcher = compiled.matcher(text);
        return matcher.find() ? Optional.ofNullable(matcher.group(name)) : Optional.empty();
    }
}
