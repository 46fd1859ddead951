package app.jubek.core.matching;

import app.jubek.core.text.Budget;
import com.ibm.icu.text.Normalizer2;
import java.util.Arrays;

/**
 * A text as it is compared, with the way back to the text as displayed. One object serves many texts, one after the
 * other; it is not for several threads.
 *
 * <p>The way back is kept as runs: in a plain run each unit stands for one unit of the source; in a block all units stand
 * for the same stretch of it, as where one character folds to several or white space to one space.
 */
public final class ComparedText {
    private static final Normalizer2 NFD = Normalizer2.getNFDInstance();
    private static final int PLAIN = -1;
    private static final int ASK_AFTER = 1 << 12;

    private static final char[] ASCII = Arrays.copyOf(FoldTable.units(), 0x80);

    private char[] source = new char[256];
    private char[] units = new char[256];
    private int length;
    private int[] runAt = new int[16];
    private int[] runFrom = new int[16];
    private int[] runEnd = new int[16];
    private int runs;

    /** The run that was asked for last: mostly the next one asked for is the same or a little further on. */
    private int near;

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
        runs = 0;
        near = 0;
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
        int first = run(from);
        int last = run(to - 1);
        int start = runEnd[first] == PLAIN ? runFrom[first] + from - runAt[first] : runFrom[first];
        int end = runEnd[last] == PLAIN ? runFrom[last] + to - runAt[last] : runEnd[last];
        return new Span(start, end);
    }

    private int run(int unit) {
        if (near >= runs || runAt[near] > unit) {
            int found = Arrays.binarySearch(runAt, 0, runs, unit);
            near = found >= 0 ? found : -found - 2;
        }
        while (near + 1 < runs && runAt[near + 1] <= unit) {
            near++;
        }
        return near;
    }

    @Override
    public String toString() {
        return new String(units, 0, length);
    }

    private void plain(int size) {
        ensureUnits(size);
        System.arraycopy(source, 0, units, 0, size);
        beginRun(0, PLAIN);
        length = size;
    }

    private void lower(int size) {
        ensureUnits(size);
        for (int i = 0; i < size; i++) {
            char unit = source[i];
            units[i] = unit >= 'A' && unit <= 'Z' ? (char) (unit + 32) : unit;
        }
        beginRun(0, PLAIN);
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
        beginPlain(from);
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
        widenLast(end);
        beginPlain(end);
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
            beginRun(from, end);
            units[length++] = unit;
        } else if (length > 0 && units[length - 1] == ' ') {
            widenLast(end);
        } else {
            beginRun(from, end);
            units[length++] = ' ';
        }
    }

    private void widenLast(int end) {
        int last = length - 1;
        int from = span(last, last + 1).start();
        if (runAt[runs - 1] != last) {
            length = last;
            beginRun(from, end);
            length = last + 1;
        }
        runFrom[runs - 1] = from;
        runEnd[runs - 1] = end;
    }

    private void beginPlain(int from) {
        boolean goesOn = runs > 0
                && runEnd[runs - 1] == PLAIN
                && runAt[runs - 1] < length
                && runFrom[runs - 1] + length - runAt[runs - 1] == from;
        if (!goesOn) {
            beginRun(from, PLAIN);
        }
    }

    private void beginRun(int from, int end) {
        if (runs > 0 && runAt[runs - 1] == length) {
            runs--;
        }
        if (runs == runAt.length) {
            runAt = Arrays.copyOf(runAt, runs * 2);
            runFrom = Arrays.copyOf(runFrom, runs * 2);
            runEnd = Arrays.copyOf(runEnd, runs * 2);
        }
        runAt[runs] = length;
        runFrom[runs] = from;
        runEnd[runs] = end;
        runs++;
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
