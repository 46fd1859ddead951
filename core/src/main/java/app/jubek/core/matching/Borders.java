package app.jubek.core.matching;

/** What stands before and after a place in a compared text; a folded one may have a space at either end. */
final class Borders {
    private Borders() {}

    static boolean isBeginning(char[] units, int start, boolean folded) {
        return start == 0 || folded && start == 1 && units[0] == ' ';
    }

    static boolean isEnd(char[] units, int length, int end, boolean folded) {
        return end == length || folded && end == length - 1 && units[end] == ' ';
    }

    /** Whether no letter or digit goes on before or after. */
    static boolean areOfWords(char[] units, int length, int start, int end) {
        boolean before = start > 0 && Character.isLetterOrDigit(Character.codePointBefore(units, start));
        boolean after = end < length && Character.isLetterOrDigit(Character.codePointAt(units, end, length));
        return !before && !after;
    }
}
