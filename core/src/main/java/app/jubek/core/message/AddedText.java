package app.jubek.core.message;

import java.util.regex.Pattern;

/** What the writer of a message added: its text without what is quoted and without the signature. */
public final class AddedText {
    /** RFC 3676 §4.3. */
    private static final Pattern SIGNATURE = Pattern.compile("--\\s*");

    /** Lines above a quoted message (common practice). */
    private static final Pattern INTRODUCTION = Pattern.compile(
            "(?:on|am|le|el|den|il|op)\\b.{3,200}(?:wrote|schrieb|écrit|escribió|skrev|scritto|schreef)\\s*:?"
                    + "|-{2,}\\s*(?:original message|ursprüngliche nachricht|message d'origine|forwarded message)\\s*-{2,}"
                    + "|.{1,120}\\bwrites\\s*:",
            Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CASE);

    private static final Pattern WHOLE_ORIGINAL = Pattern.compile(
            "-{2,}\\s*(?:original message|ursprüngliche nachricht|message d'origine|forwarded message)\\s*-{2,}",
            Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CASE);

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
            over |= endsHere(line);
            if (over || isNotAdded(line.strip())) {
                added.append(NEVER_MEANT).append(" ".repeat(line.length() - 1));
            } else {
                added.append(line);
            }
            at = next;
        }
        return added.toString();
    }

    private static boolean endsHere(String line) {
        String plain = line.strip();
        return SIGNATURE.matcher(line).matches()
                || WHOLE_ORIGINAL.matcher(plain).matches();
    }

    private static boolean isNotAdded(String plain) {
        boolean quoted = plain.startsWith(">");
        boolean introduces = plain.length() < LONGEST_INTRODUCTION
                && INTRODUCTION.matcher(plain).matches();
        return quoted || introduces;
    }
}
