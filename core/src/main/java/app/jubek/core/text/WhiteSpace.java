package app.jubek.core.text;

import java.util.ArrayList;
import java.util.List;

/** White space of ASCII: space, tab, line ends, form feed. */
public final class WhiteSpace {
    private WhiteSpace() {}

    public static boolean is(int unit) {
        return unit == ' ' || unit >= '\t' && unit <= '\r';
    }

    /** Each run of it as one space, and none at the ends. */
    public static String collapsed(String text) {
        return String.join(" ", words(text));
    }

    /** What stands between it; none for a text of white space alone. */
    public static List<String> words(String text) {
        List<String> words = new ArrayList<>();
        int at = 0;
        while (at < text.length()) {
            int end = at;
            while (end < text.length() && !is(text.charAt(end))) {
                end++;
            }
            if (end > at) {
                words.add(text.substring(at, end));
            }
            at = end + 1;
        }
        return words;
    }
}
