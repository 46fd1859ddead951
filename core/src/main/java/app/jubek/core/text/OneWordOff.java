package app.jubek.core.text;

import java.util.Arrays;

/** A phrase that stands in a text but for one of its words. Both are as they are compared. */
final class OneWordOff {
    private static final int ALIKE = 4;

    private OneWordOff() {}

    static boolean is(String phrase, String text) {
        String[] words = phrase.split(" ");
        for (int i = 0; i < words.length && words.length > 1; i++) {
            String before = String.join(" ", Arrays.copyOfRange(words, 0, i));
            String after = String.join(" ", Arrays.copyOfRange(words, i + 1, words.length));
            String begins = words.length == 2 ? words[i].substring(0, Math.min(ALIKE, words[i].length())) : "";
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
            int from = at > 1 ? text.lastIndexOf(' ', at - 2) + 1 : at;
            if (at > 1 && text.charAt(at - 1) == ' ' && text.startsWith(begins, from)) {
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
