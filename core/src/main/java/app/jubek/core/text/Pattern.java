package app.jubek.core.text;

import com.google.re2j.Matcher;
import com.google.re2j.PatternSyntaxException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** A pattern in RE2 syntax: its time grows with the text only, whatever is written in it. */
final class Pattern {
    /** A class, an escape, a number of times, or one unit. */
    private static final java.util.regex.Pattern TOKEN = java.util.regex.Pattern.compile(
            "(?s)\\[\\^?\\]?(?:\\[:\\^?\\w+:\\]|\\\\.|[^\\]\\\\])*\\]|\\\\(?:[pP]\\{[^}]*\\}|.)"
                    + "|(?<times>[?*+]\\??|\\{\\d+(?:,\\d*)?\\}\\??)|.");

    private static final java.util.regex.Pattern HARD_TO_TELL =
            java.util.regex.Pattern.compile("\\||\\(\\?|\\\\[xQ0-9]");
    private static final java.util.regex.Pattern ALONE = java.util.regex.Pattern.compile("[A-Za-z0-9]");

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
            return new Pattern(compiled, comparison == Comparison.ASCII_CASE ? "" : comparison.apply(needed(written)));
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
        Matcher matcher = compiled.matcher(text);
        while (places.size() < most && matcher.find()) {
            if (matcher.end() > matcher.start()) {
                places.add(new int[] {matcher.start(), matcher.end()});
            }
        }
        return places;
    }

    /** At each place its first group; all that is found there where it has none, or where that took nothing. */
    List<String> firstGroups(CharSequence text) {
        List<String> found = new ArrayList<>();
        Matcher matcher = compiled.matcher(text);
        while (matcher.find()) {
            String group = matcher.groupCount() > 0 ? matcher.group(1) : null;
            found.add(group == null ? matcher.group() : group);
        }
        return found;
    }

    /** What a named group took at the first place. */
    Optional<String> group(String name, CharSequence text) {
        Matcher matcher = compiled.matcher(text);
        return matcher.find() ? Optional.ofNullable(matcher.group(name)) : Optional.empty();
    }

    /** The longest run of ASCII letters and digits that can't be left out; empty when that is not easily told. */
    private static String needed(String written) {
        if (HARD_TO_TELL.matcher(written).find()) {
            return "";
        }
        String longest = "";
        StringBuilder run = new StringBuilder();
        int depth = 0;
        java.util.regex.Matcher token = TOKEN.matcher(written);
        while (token.find()) {
            String unit = token.group();
            boolean literal =
                    depth == 0 && unit.length() == 1 && ALONE.matcher(unit).matches();
            if (literal) {
                run.append(unit);
                continue;
            }
            if (token.group("times") != null && unit.charAt(0) != '+' && run.length() > 0) {
                run.setLength(run.length() - 1);
            }
            longest = run.length() > longest.length() ? run.toString() : longest;
            run.setLength(0);
            depth += unit.equals("(") ? 1 : unit.equals(")") ? -1 : 0;
        }
        return run.length() > longest.length() ? run.toString() : longest;
    }
}
