package app.jubek.core.message;

import app.jubek.core.text.WhiteSpace;
import app.jubek.core.text.WordList;
import java.util.Locale;
import java.util.Set;

/** What a subject is about, without what answering and forwarding put in front of it. */
public final class Subjects {
    /** Reply and forward prefixes of some languages (common practice). */
    private static final Set<String> PREFIXES = WordList.of("subject-prefixes");

    private static final int LONGEST = 6;

    private Subjects() {}

    /** The subject with blanks in place of its prefixes, so that every other letter stands where it stood. */
    public static String bare(String subject) {
        int end = 0;
        for (int next = behindPrefix(subject, 0); next > end; next = behindPrefix(subject, end)) {
            end = next;
        }
        end = end == 0 ? 0 : behindSpace(subject, end);
        return end == 0 ? subject : " ".repeat(end) + subject.substring(end);
    }

    /** Where a prefix with its colon ends; the same place where none begins. */
    private static int behindPrefix(String subject, int from) {
        int begin = behindSpace(subject, from);
        int end = begin;
        while (end < subject.length() && end - begin <= LONGEST && isLetter(subject.charAt(end))) {
            end++;
        }
        if (!PREFIXES.contains(subject.substring(begin, end).toLowerCase(Locale.ROOT))) {
            return from;
        }
        int colon = behindSpace(subject, behindCount(subject, behindSpace(subject, end)));
        return colon < subject.length() && subject.charAt(colon) == ':' ? colon + 1 : from;
    }

    /** Behind how often it was answered: "[2]", "(2)" or "^2" (common practice). */
    private static int behindCount(String subject, int from) {
        if (from >= subject.length() || "[(^".indexOf(subject.charAt(from)) < 0) {
            return from;
        }
        int end = from + 1;
        while (end < subject.length() && Character.digit(subject.charAt(end), 10) >= 0) {
            end++;
        }
        char closing = subject.charAt(from) == '[' ? ']' : ')';
        boolean closes = end < subject.length() && subject.charAt(end) == closing;
        if (end == from + 1 || subject.charAt(from) != '^' && !closes) {
            return from;
        }
        return subject.charAt(from) == '^' ? end : end + 1;
    }

    private static int behindSpace(String subject, int from) {
        int at = from;
        while (at < subject.length() && WhiteSpace.is(subject.charAt(at))) {
            at++;
        }
        return at;
    }

    private static boolean isLetter(char sign) {
        return sign >= 'a' && sign <= 'z' || sign >= 'A' && sign <= 'Z';
    }
}
