package app.jubek.core.matching;

import java.util.List;
import java.util.function.IntPredicate;
import java.util.stream.IntStream;

/**
 * Finds many strings in a text at one go: the cost hardly depends on how many they are. Where the first four units, and
 * then the first six or ten, can't begin any of them, a place is passed by; elsewhere a trie is walked.
 */
public final class PhraseIndex {
    private static final int FOUR = 4;
    private static final int SIX = 6;
    private static final int TEN = 10;
    private static final long MIX = 0x9E3779B97F4A7C15L;
    private static final long MIX_AGAIN = 0xC2B2AE3D27D4EB4FL;

    private final List<String> strings;
    private final Trie shorter;
    private final Trie longer;
    private final Bits firstOne;
    private final Bits firstFour;
    private final Bits onlyFour;
    private final Bits onlySix;
    private final Bits firstTen;

    private PhraseIndex(List<String> strings) {
        this.strings = List.copyOf(strings);
        shorter = Trie.of(strings, numbers(length -> length < FOUR), 1);
        longer = Trie.of(strings, numbers(length -> length >= FOUR), FOUR);
        firstOne = new Bits(16, numbers(length -> length < FOUR).length > 0);
        int log = Math.min(20, 37 - Integer.numberOfLeadingZeros(Math.max(64, strings.size())));
        firstFour = new Bits(log, true);
        onlyFour = new Bits(log, numbers(length -> length >= FOUR && length < SIX).length > 0);
        onlySix = new Bits(log, numbers(length -> length >= SIX && length < TEN).length > 0);
        firstTen = new Bits(log, true);
        strings.forEach(this::note);
    }

    private int[] numbers(IntPredicate wanted) {
        return IntStream.range(0, strings.size())
                .filter(number -> wanted.test(strings.get(number).length()))
                .toArray();
    }

    /** Many bits, addressed by the upper end of a product. */
    private static final class Bits {
        private final long[] words;
        private final int shift;
        private final boolean any;

        Bits(int log, boolean any) {
            this.words = new long[any ? 1 << (log - 6) : 1];
            this.shift = 64 - log;
            this.any = any;
        }

        void set(long product) {
            int bit = (int) (product >>> shift);
            words[bit >>> 6] |= 1L << bit;
        }

        boolean get(long product) {
            int bit = (int) (product >>> shift);
            return any && (words[bit >>> 6] & (1L << bit)) != 0;
        }
    }

    /**
     * @param strings as the texts are compared; none is empty, none is there twice
     */
    public static PhraseIndex of(List<String> strings) {
        if (strings.stream().anyMatch(String::isEmpty)) {
            throw new IllegalArgumentException("an empty string stands everywhere");
        }
        return new PhraseIndex(strings);
    }

    /** Hears of each place where a string stands. */
    public interface Found {
        /**
         * @param number the string's place in the list
         */
        void at(int number, int start, int end);
    }

    private void note(String string) {
        char[] units = string.toCharArray();
        if (units.length < FOUR) {
            firstOne.set((long) units[0] << 48);
            return;
        }
        long four = window(units, 0);
        firstFour.set(four * MIX);
        if (units.length < SIX) {
            onlyFour.set(four * MIX_AGAIN);
        } else if (units.length < TEN) {
            onlySix.set(six(four, units, 0));
        } else {
            firstTen.set(ten(four, units, 0));
        }
    }

    private static long window(char[] text, int at) {
        return ((long) text[at] << 48) | ((long) text[at + 1] << 32) | ((long) text[at + 2] << 16) | text[at + 3];
    }

    private static long six(long four, char[] text, int at) {
        return (four * MIX_AGAIN + (((long) text[at + 4] << 16) | text[at + 5])) * MIX;
    }

    private static long ten(long four, char[] text, int at) {
        return ((four * MIX_AGAIN + window(text, at + 4)) * MIX_AGAIN + window(text, at + 6)) * MIX;
    }

    public void scan(char[] text, int length, Found found) {
        if (firstOne.any) {
            scanShort(text, length, found);
        }
        long window = 0;
        long[] words = firstFour.words;
        int shift = firstFour.shift;
        for (int i = 0; i < length; i++) {
            window = (window << 16) | text[i];
            int bit = (int) ((window * MIX) >>> shift);
            if ((words[bit >>> 6] & (1L << bit)) != 0
                    && i >= FOUR - 1
                    && mayBegin(text, length, i + 1 - FOUR, window)) {
                longer.walk(text, length, i + 1 - FOUR, found);
            }
        }
    }

    /** Whether one of the strings may begin with these four units and those that follow. */
    private boolean mayBegin(char[] text, int length, int at, long four) {
        return onlyFour.get(four * MIX_AGAIN)
                || at + SIX <= length && onlySix.get(six(four, text, at))
                || at + TEN <= length && firstTen.get(ten(four, text, at));
    }

    private void scanShort(char[] text, int length, Found found) {
        for (int i = 0; i < length; i++) {
            if (firstOne.get((long) text[i] << 48)) {
                shorter.walk(text, length, i, found);
            }
        }
    }
}
