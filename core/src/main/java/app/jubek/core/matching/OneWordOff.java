package app.jubek.core.matching;

import app.jubek.core.text.Pieces;
import java.util.List;

/** A phrase that stands in a text but for one of its words. Both are as they are compared. */
final class OneWordOff {
    private static final int ALIKE = 4;

    private OneWordOff() {}

    static boolean is(String phrase, String text) {
        List<String> words = Pieces.between(phrase, ' ');
        for (int i = 0; i < words.size() && words.size() > 1; i++) {
            String before = String.join(" ", words.subList(0, i));
            String after = String.join(" ", words.subList(i + 1, words.size()));
            String word = words.get(i);
            String begins = words.size() == 2 ? word.substring(0, Math.min(ALIKE, word.length())) : "";
            if (before.isEmpty()
                    ? standsAfterAnother(text, after, begins)
                    : standsBeforeAnother(text, before, begins, after)) {
                return true;
            }
        }
        return false;
    }

    private static boolean standsAfterAnother(String text, String after, String begins) {
        for (int at = text.indexOf(after); at >= 0; at = text.indexOf(after, at + 1)) {
            boolean wordEnds = at > 1 && text.charAt(at - 1) == ' ';
            if (wordEnds && text.startsWith(begins, text.lastIndexOf(' ', at - 2) + 1)) {
                return true;
            }
        }
        return false;
    }

    private static boolean standsBeforeAnother(String text, String before, String begins, String after) {
        for (int at = text.indexOf(before); at >= 0; at = text.indexOf(before, at + 1)) {
            int from = at + before.length() + 1;
            boolean wordsEnd = from < text.length() && text.charAt(from - 1) == ' ';
            boolean wordBegins = at == 0 || !Character.isLetterOrDigit(text.codePointBefore(at));
            if (wordsEnd && wordBegins && text.startsWith(begins, from) && followsNext(text, from, after)) {
                return true;
            }
        }
        return false;
    }

    private static boolean followsNext(String text, int from, String after) {
        int next = text.indexOf(' ', from);
        return after.isEmpty() || next >= 0 && text.startsWith(after, next + 1);
    }
}
