package app.jubek.core.text;

import java.util.ArrayList;
import java.util.List;
import java.util.function.IntPredicate;

/** Parts of a text between signs, found in one pass. */
public final class Pieces {
    private Pieces() {}

    /** What stands between a sign, empty pieces among them; the whole text where the sign is not in it. */
    public static List<String> between(String text, char sign) {
        List<String> pieces = new ArrayList<>();
        int from = 0;
        for (int at = text.indexOf(sign); at >= 0; at = text.indexOf(sign, from)) {
            pieces.add(text.substring(from, at));
            from = at + 1;
        }
        pieces.add(text.substring(from));
        return pieces;
    }

    /** What stands before the first of a sign; the whole text where it is not in it. */
    public static String before(String text, char sign) {
        int at = text.indexOf(sign);
        return at < 0 ? text : text.substring(0, at);
    }

    /** The longest runs of characters of one sort. */
    public static List<String> runs(String text, IntPredicate sort) {
        List<String> runs = new ArrayList<>();
        int at = 0;
        while (at < text.length()) {
            int end = at;
            while (end < text.length() && sort.test(text.codePointAt(end))) {
                end += Character.charCount(text.codePointAt(end));
            }
            if (end > at) {
                runs.add(text.substring(at, end));
            }
            at = end < text.length() ? end + Character.charCount(text.codePointAt(end)) : end;
        }
        return runs;
    }

    /** Without the characters of one sort at its beginning. */
    public static String withoutBeginning(String text, IntPredicate sort) {
        int from = 0;
        while (from < text.length() && sort.test(text.codePointAt(from))) {
            from += Character.charCount(text.codePointAt(from));
        }
        return text.substring(from);
    }

    /** Without the characters of one sort at its end. */
    public static String withoutEnd(String text, IntPredicate sort) {
        int to = text.length();
        while (to > 0 && sort.test(text.codePointBefore(to))) {
            to -= Character.charCount(text.codePointBefore(to));
        }
        return text.substring(0, to);
    }

    /** With another text in place of each run of characters of one sort. */
    public static String replaced(String text, IntPredicate sort, String other) {
        StringBuilder out = new StringBuilder(text.length());
        boolean inside = false;
        for (int at = 0; at < text.length(); at += Character.charCount(text.codePointAt(at))) {
            int character = text.codePointAt(at);
            boolean now = sort.test(character);
            if (!now) {
                out.appendCodePoint(character);
            } else if (!inside) {
                out.append(other);
            }
            inside = now;
        }
        return out.toString();
    }
}
