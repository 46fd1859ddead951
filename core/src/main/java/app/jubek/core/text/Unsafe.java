package app.jubek.core.text;

import java.util.regex.Pattern;

/** Controls, line ends and marks that turn the direction of writing: nothing of a message may bring them in. */
public final class Unsafe {
    private static final Pattern SIGNS =
            Pattern.compile("[\\p{Cc}\\u2028\\u2029\\u200E\\u200F\\u061C\\u202A-\\u202E\\u2066-\\u2069]+");

    private Unsafe() {}

    /** With a space for each run of them, and none around it. */
    public static String removed(String text) {
        return SIGNS.matcher(text).replaceAll(" ").strip();
    }
}
