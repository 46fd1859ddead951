package app.jubek.core.message;

import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** What a subject is about, without what answering and forwarding put in front of it. */
public final class Subjects {
    /** Reply and forward prefixes of some languages, counted or not, and tags in brackets after one (common practice). */
    private static final Pattern PREFIXES = Pattern.compile(
            "^(?:\\s*(?:re|aw|sv|antw|ang|vs|fw|fwd|wg|vb|tr|rv|enc|vl|i|doorst)\\s*(?:\\[\\d+\\]|\\(\\d+\\)|\\^\\d+)?\\s*:)+\\s*",
            Pattern.CASE_INSENSITIVE);

    private Subjects() {}

    /** The subject with blanks in place of its prefixes, so that every other letter stands where it stood. */
    public static String bare(String subject) {
        Matcher prefixes = PREFIXES.matcher(subject);
        return prefixes.find() ? " ".repeat(prefixes.end()) + subject.substring(prefixes.end()) : subject;
    }
}
