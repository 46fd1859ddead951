package app.jubek.cli;

import java.io.PrintWriter;

/** Tells on a terminal how far it got, when it takes long. */
final class Progress {
    private static final long EVERY_NANOS = 1_000_000_000L;

    private final PrintWriter err;
    private final boolean terminal = System.console() != null;
    private long count;
    private long told = System.nanoTime();
    private boolean anything;

    Progress(PrintWriter err) {
        this.err = err;
    }

    void one() {
        count++;
        long now = System.nanoTime();
        if (terminal && now - told > EVERY_NANOS) {
            told = now;
            anything = true;
            err.print("\r" + count + " messages");
            err.flush();
        }
    }

    void done() {
        if (anything) {
            err.println("\r" + count + " messages");
        }
    }
}
