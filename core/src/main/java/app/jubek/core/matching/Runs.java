package app.jubek.core.matching;

import java.util.Arrays;

/**
 * The way back from the units of a compared text to its source: in a plain run each unit stands for one unit of the
 * source; in a block all units stand for the same stretch of it, as where one character folds to several or white space to
 * one space.
 */
final class Runs {
    /** As the end of a run: it is no block. */
    static final int PLAIN = -1;

    private int[] runAt = new int[16];
    private int[] runFrom = new int[16];
    private int[] runEnd = new int[16];
    private int runs;

    /** The run that was asked for last: mostly the next one asked for is the same or a little further on. */
    private int near;

    void clear() {
        runs = 0;
        near = 0;
    }

    Span span(int from, int to) {
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

    /**
     * A run from a unit on.
     *
     * @param from where in the source
     * @param end where in the source a block ends, or {@link #PLAIN}
     */
    void begin(int unit, int from, int end) {
        if (runs > 0 && runAt[runs - 1] == unit) {
            runs--;
        }
        if (runs == runAt.length) {
            runAt = Arrays.copyOf(runAt, runs * 2);
            runFrom = Arrays.copyOf(runFrom, runs * 2);
            runEnd = Arrays.copyOf(runEnd, runs * 2);
        }
        runAt[runs] = unit;
        runFrom[runs] = from;
        runEnd[runs] = end;
        runs++;
    }

    /** Plain from a unit on; the run before goes on where it leads there. */
    void goOnPlain(int unit, int from) {
        boolean goesOn = runs > 0
                && runEnd[runs - 1] == PLAIN
                && runAt[runs - 1] < unit
                && runFrom[runs - 1] + unit - runAt[runs - 1] == from;
        if (!goesOn) {
            begin(unit, from, PLAIN);
        }
    }

    /** The last unit before one stands for more of the source than it did. */
    void widenLast(int unit, int end) {
        int last = unit - 1;
        int from = span(last, unit).start();
        if (runAt[runs - 1] != last) {
            begin(last, from, end);
        }
        runFrom[runs - 1] = from;
        runEnd[runs - 1] = end;
    }
}
