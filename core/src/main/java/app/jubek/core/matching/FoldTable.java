package app.jubek.core.matching;

import com.ibm.icu.text.Normalizer2;

/**
 * NFKC_Casefold of single units, where one unit becomes one unit and neighbours have no say in it; white space becomes a
 * space. All else is left to the normalizer.
 */
final class FoldTable {
    /** The unit must be folded together with its neighbours. */
    static final char TOGETHER = 0;

    /**
     * Marks on one character that are put in order together: putting more in order would take a time that grows with the
     * square of their number (Stream-Safe Text Format, Unicode Standard Annex #15 §13).
     */
    private static final int MOST_MARKS = 30;

    private static final Normalizer2 NFKC_CASEFOLD = Normalizer2.getNFKCCasefoldInstance();
    private static final char[] FOLDED = table();

    private FoldTable() {}

    static char[] units() {
        return FOLDED;
    }

    private static char[] table() {
        char[] folded = new char[1 << 16];
        for (int unit = 0; unit < folded.length; unit++) {
            folded[unit] = folded((char) unit);
        }
        return folded;
    }

    private static char folded(char unit) {
        if (unit < 0x80) {
            boolean upper = unit >= 'A' && unit <= 'Z';
            return isSpace(unit) ? ' ' : (char) (upper ? unit + 32 : unit);
        }
        if (Character.isSurrogate(unit) || !NFKC_CASEFOLD.hasBoundaryBefore(unit)) {
            return TOGETHER;
        }
        if (NFKC_CASEFOLD.isInert(unit)) {
            return isSpace(unit) ? ' ' : unit;
        }
        String normal = NFKC_CASEFOLD.normalize(String.valueOf(unit));
        if (normal.length() != 1 || !NFKC_CASEFOLD.hasBoundaryBefore(normal.charAt(0))) {
            return TOGETHER;
        }
        return isSpace(normal.charAt(0)) ? ' ' : normal.charAt(0);
    }

    static boolean isSpace(char unit) {
        return Character.isWhitespace(unit) || Character.isSpaceChar(unit);
    }

    /** The end of the characters that must be folded together, beginning at {@code at}. */
    static int togetherUntil(String source, int at) {
        int next = at + Character.charCount(source.codePointAt(at));
        for (int marks = 0; next < source.length() && marks < MOST_MARKS; marks++) {
            int following = source.codePointAt(next);
            if (following < 0x300 || NFKC_CASEFOLD.hasBoundaryBefore(following)) {
                break;
            }
            next += Character.charCount(following);
        }
        return next;
    }

    static String together(String source, int from, int to) {
        return NFKC_CASEFOLD.normalize(source.subSequence(from, to));
    }
}
