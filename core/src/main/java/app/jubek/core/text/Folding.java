package app.jubek.core.text;

import com.ibm.icu.text.Normalizer2;

/**
 * The one comparison of text: NFKC_Casefold (Unicode Standard §3.13), every run of white space as one space, accents
 * kept.
 */
public final class Folding {
    private static final Normalizer2 NFKC_CASEFOLD = Normalizer2.getNFKCCasefoldInstance();
    private static final int FIRST_COMBINING = 0x300;

    private Folding() {}

    /** Folds for comparing; the same letters as {@link FoldedText#of}, without the way back to the source. */
    public static String fold(String source) {
        Sink sink = new Sink(source.length());
        run(source, sink);
        return sink.folded.toString();
    }

    /** Receives folded characters, each with the stretch of the source that it stands for. */
    static class Sink {
        final StringBuilder folded;

        Sink(int expected) {
            folded = new StringBuilder(expected);
        }

        void add(char unit, int start, int end) {
            folded.append(unit);
        }

        /** The last unit, a space, also stands for white space up to {@code end}. */
        void widenLast(int end) {}
    }

    static void run(String source, Sink sink) {
        int at = 0;
        while (at < source.length()) {
            int next = segmentEnd(source, at);
            if (next == at + 1 && source.charAt(at) < 0x80) {
                put(asciiLower(source.charAt(at)), at, next, sink);
            } else {
                String normal = NFKC_CASEFOLD.normalize(source.subSequence(at, next));
                for (int i = 0; i < normal.length(); i++) {
                    put(normal.charAt(i), at, next, sink);
                }
            }
            at = next;
        }
    }

    private static int segmentEnd(String source, int at) {
        int next = at + Character.charCount(source.codePointAt(at));
        while (next < source.length() && source.charAt(next) >= FIRST_COMBINING) {
            int following = source.codePointAt(next);
            if (NFKC_CASEFOLD.hasBoundaryBefore(following)) {
                break;
            }
            next += Character.charCount(following);
        }
        return next;
    }

    private static char asciiLower(char unit) {
        return unit >= 'A' && unit <= 'Z' ? (char) (unit + 32) : unit;
    }

    private static void put(char unit, int start, int end, Sink sink) {
        if (!Character.isWhitespace(unit) && !Character.isSpaceChar(unit)) {
            sink.add(unit, start, end);
            return;
        }
        int length = sink.folded.length();
        if (length > 0 && sink.folded.charAt(length - 1) == ' ') {
            sink.widenLast(end);
        } else {
            sink.add(' ', start, end);
        }
    }
}
