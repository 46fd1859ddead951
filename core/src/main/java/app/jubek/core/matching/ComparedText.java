package app.jubek.core.matching;

import app.jubek.core.text.Budget;
import com.ibm.icu.text.Normalizer2;
import java.util.Arrays;

/**
 * A text as it is compared, with the way back to the text as displayed. One object serves many texts, one after the
 * other; it is not for several threads.
 */
public final class ComparedText {
    private static final Normalizer2 NFD = Normalizer2.getNFDInstance();
    private static final int ASK_AFTER = 1 << 12;

    private static final char[] ASCII = Arrays.copyOf(FoldTable.units(), 0x80);

    private char[] source = new char[256];
    private char[] units = new char[256];
    private int length;
    private final Runs runs = new Runs();

    private Budget budget = Budget.UNLIMITED;
    private int together;

    /** What is loaded and looked through from now on is paid for from here. */
    public ComparedText spending(Budget from) {
        budget = from;
        return this;
    }

    Budget budget() {
        return budget;
    }

    /** Loads another text instead of the one before. */
    public ComparedText load(String text, Comparison comparison) {
        budget.ask();
        length = 0;
        runs.clear();
        ensureSource(text.length());
        text.getChars(0, text.length(), source, 0);
        switch (comparison) {
            case FOLDED -> fold(text, false);
            case WITHOUT_ACCENTS -> fold(text, true);
            case ASCII_CASE -> lower(text.length());
            default -> plain(text.length());
        }
        return this;
    }

    public int length() {
        return length;
    }

    /** The units; only the first {@link #length()} count, and only until the next text is loaded. */
    public char[] units() {
        return units;
    }

    /** Units from one to before another, as a stretch of the source, widened to whole characters. */
    public Span span(int from, int to) {
        return runs.span(from, to);
    }

    @Override
    public String toString() {
        return new String(units, 0, length);
    }

    private void plain(int size) {
        ensureUnits(size);
        System.arraycopy(source, 0, units, 0, size);
        runs.begin(0, 0, Runs.PLAIN);
        length = size;
    }

    private void lower(int size) {
        ensureUnits(size);
        for (int i = 0; i < size; i++) {
            char unit = source[i];
            units[i] = unit >= 'A' && unit <= 'Z' ? (char) (unit + 32) : unit;
        }
        runs.begin(0, 0, Runs.PLAIN);
        length = size;
    }

    private void fold(String text, boolean withoutAccents) {
        int size = text.length();
        int at = 0;
        while (at < size) {
            at = foldAlone(at, size, withoutAccents);
            if (at < size) {
                at = foldTogether(text, at, withoutAccents);
            }
        }
    }

    /** Units that fold by themselves, as many as follow each other. */
    private int foldAlone(int from, int size, boolean asciiOnly) {
        ensureUnits(length + size - from);
        runs.goOnPlain(length, from);
        int at = from;
        while (at < size) {
            at = foldAscii(at, size);
            boolean ends = at == size || at + 1 < size && isAccent(source[at + 1]);
            if (ends || source[at] >= 0x80 && (asciiOnly || FoldTable.units()[source[at]] == FoldTable.TOGETHER)) {
                return at;
            }
            at = source[at] < 0x80 ? passSpace(at, size) : foldOne(at, size);
        }
        return at;
    }

    /** The quick way through ASCII; ends at another unit, at white space after white space, or before a lone accent. */
    private int foldAscii(int from, int size) {
        char[] in = source;
        char[] out = units;
        char[] table = ASCII;
        int to = length;
        char last = to > 0 ? out[to - 1] : 'x';
        int at = from;
        while (at < size) {
            char unit = in[at];
            if (unit >= 0x80) {
                if (at > from && isAccent(unit)) {
                    at--;
                    to--;
                }
                break;
            }
            char folded = table[unit];
            if (folded == ' ' && last == ' ') {
                break;
            }
            out[to++] = folded;
            last = folded;
            at++;
        }
        length = to;
        return at;
    }

    private static boolean isAccent(char unit) {
        return unit >= 0x300 && FoldTable.units()[unit] == FoldTable.TOGETHER;
    }

    private int foldOne(int at, int size) {
        char folded = FoldTable.units()[source[at]];
        if (folded == ' ' && length > 0 && units[length - 1] == ' ') {
            return passSpace(at, size);
        }
        units[length++] = folded;
        return at + 1;
    }

    /** White space after white space makes the space that stands there wider. */
    private int passSpace(int at, int size) {
        int end = at + 1;
        while (end < size && source[end] < 0x80 && FoldTable.units()[source[end]] == ' ') {
            end++;
        }
        runs.widenLast(length, end);
        runs.goOnPlain(length, end);
        return end;
    }

    private int foldTogether(String text, int at, boolean withoutAccents) {
        if (++together % ASK_AFTER == 0) {
            budget.ask();
        }
        int end = FoldTable.togetherUntil(text, at);
        String folded = FoldTable.together(text, at, end);
        if (withoutAccents) {
            folded = NFD.normalize(folded);
        }
        ensureUnits(length + folded.length() + text.length() - end);
        for (int i = 0; i < folded.length(); i++) {
            char unit = folded.charAt(i);
            boolean accent = withoutAccents && Character.getType(unit) == Character.NON_SPACING_MARK;
            if (!accent) {
                put(unit, at, end);
            }
        }
        return end;
    }

    private void put(char unit, int from, int end) {
        if (!FoldTable.isSpace(unit)) {
            runs.begin(length, from, end);
            units[length++] = unit;
        } else if (length > 0 && units[length - 1] == ' ') {
            runs.widenLast(length, end);
        } else {
            runs.begin(length, from, end);
            units[length++] = ' ';
        }
    }

    private void ensureSource(int size) {
        if (source.length < size) {
            source = new char[Math.max(size, source.length * 2)];
        }
    }

    private void ensureUnits(int size) {
        if (units.length < size) {
            units = Arrays.copyOf(units, Math.max(size, units.length * 2));
        }
    }
}
