package app.jubek.core.text;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/** A folded text that knows where each of its characters came from, for marking what matched as displayed. */
public final class FoldedText {
    private final String folded;
    private final int[] starts;
    private final int[] ends;

    private FoldedText(String folded, int[] starts, int[] ends) {
        this.folded = folded;
        this.starts = starts;
        this.ends = ends;
    }

    public static FoldedText of(String source) {
        MappingSink sink = new MappingSink(source.length());
        Folding.run(source, sink);
        int length = sink.folded.length();
        return new FoldedText(
                sink.folded.toString(), Arrays.copyOf(sink.starts, length), Arrays.copyOf(sink.ends, length));
    }

    public String folded() {
        return folded;
    }

    /** Every place the phrase stands, in the source's own positions, widened to whole characters. */
    public List<Span> find(Phrase phrase) {
        List<Span> found = new ArrayList<>();
        int at = phrase.next(folded, 0);
        while (at >= 0) {
            int last = at + phrase.folded().length() - 1;
            found.add(new Span(starts[at], ends[last]));
            at = phrase.next(folded, last + 1);
        }
        return List.copyOf(found);
    }

    private static final class MappingSink extends Folding.Sink {
        private int[] starts;
        private int[] ends;

        MappingSink(int expected) {
            super(expected);
            starts = new int[expected + 16];
            ends = new int[expected + 16];
        }

        @Override
        void add(char unit, int start, int end) {
            int at = folded.length();
            if (at == starts.length) {
                starts = Arrays.copyOf(starts, at * 2);
                ends = Arrays.copyOf(ends, at * 2);
            }
            starts[at] = start;
            ends[at] = end;
            super.add(unit, start, end);
        }

        @Override
        void widenLast(int end) {
            ends[folded.length() - 1] = end;
        }
    }
}
