package app.jubek.core.reading;

import app.jubek.core.text.Budget;
import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;

/** Counts what is read and asks the budget. */
final class CountingStream extends FilterInputStream {
    private static final int ASK_AFTER = 1 << 16;

    private final Budget budget;
    private long count;

    CountingStream(InputStream in, Budget budget) {
        super(in);
        this.budget = budget;
    }

    @Override
    public int read() throws IOException {
        int next = super.read();
        count += next < 0 ? 0 : 1;
        if (count % ASK_AFTER == 0) {
            budget.ask();
        }
        return next;
    }

    @Override
    public int read(byte[] into, int from, int length) throws IOException {
        budget.ask();
        int n = super.read(into, from, length);
        count += Math.max(n, 0);
        return n;
    }

    /** Reads to the end, or to a fault; what it held in all. */
    long drained() {
        try {
            count += in.transferTo(OutputStream.nullOutputStream());
        } catch (IOException ended) {
            return count;
        }
        return count;
    }
}
