package app.jubek.core.message;

import app.jubek.core.text.WhiteSpace;
import com.google.re2j.Pattern;
import java.util.List;
import java.util.Locale;

/** What the sender of a message added: its text without what is quoted and without the signature. */
public final class AddedText {
    private static final String ORIGINAL =
            "-{2,}\\s*(?:original message|ursprüngliche nachricht|message d'origine|forwarded message)\\s*-{2,}";

    /** Lines above a quoted message (common practice). */
    private static final Pattern INTRODUCTION = Pattern.compile(
            "(?:on|am|le|el|den|il|op)\\b.{3,200}(?:wrote|schrieb|écrit|escribió|skrev|scritto|schreef)\\s*:?"
                    + "|.{1,120}\\bwrites\\s*:",
            Pattern.CASE_INSENSITIVE);

    private static final Pattern ORIGINAL_FOLLOWS = Pattern.compile(ORIGINAL, Pattern.CASE_INSENSITIVE);

    /** Endings of the verbs that introduce a quotation: most lines have none of them, which is quickly told. */
    private static final List<String> VERBS = List.of("wrote", "rieb", "crit", "escribi", "krev", "reef", "writes");

    private static final int LONGEST_INTRODUCTION = 300;

    /** Keeps words before a quotation from standing beside words after it. */
    private static final char NEVER_MEANT = '\u0000';

    private AddedText() {}

    /** The text with blanks in place of all else, so that every letter stands where it stood. */
    public static String of(String text) {
        StringBuilder added = new StringBuilder(text.length());
        boolean over = false;
        int at = 0;
        while (at < text.length()) {
            int end = text.indexOf('\n', at);
            int next = end < 0 ? text.length() : end + 1;
            String line = text.substring(at, next);
            over = over || endsHere(line);
            if (over || isNotAdded(line.strip())) {
                added.append(NEVER_MEANT).append(" ".repeat(line.length() - 1));
            } else {
                added.append(line);
            }
            at = next;
        }
        return added.toString();
    }

    /** Where a signature (RFC 3676 §4.3) or a whole original begins. */
    private static boolean endsHere(String line) {
        if (!line.startsWith("--")) {
            return line.strip().startsWith("--") && isOriginal(line.strip());
        }
        boolean signature = line.substring(2).chars().allMatch(WhiteSpace::is);
        return signature || isOriginal(line.strip());
    }

    private static boolean isOriginal(String plain) {
        return plain.length() < LONGEST_INTRODUCTION
                && ORIGINAL_FOLLOWS.matcher(plain).matches();
    }

    private static boolean isNotAdded(String plain) {
        return plain.startsWith(">") || plain.length() < LONGEST_INTRODUCTION && introduces(plain);
    }

    private static boolean introduces(String plain) {
        String lower = plain.toLowerCase(Locale.ROOT);
        return VERBS.stream().anyMatch(lower::contains)
                && INTRODUCTION.matcher(plain).matches();
    }
}
