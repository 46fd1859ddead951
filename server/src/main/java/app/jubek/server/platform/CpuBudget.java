package app.jubek.server.platform;

import app.jubek.core.text.Budget;
import java.lang.management.ManagementFactory;
import java.lang.management.ThreadMXBean;
import java.time.Duration;

/** Processor time of the thread that made it; to be asked by that thread alone. */
public final class CpuBudget implements Budget {
    private static final ThreadMXBean THREADS = ManagementFactory.getThreadMXBean();
    private static final Duration OF_A_MESSAGE = Duration.ofSeconds(2);

    private final long end;

    private CpuBudget(Duration most) {
        end = THREADS.getCurrentThreadCpuTime() + most.toNanos();
    }

    /** What reading and deciding one message may cost: 2 s. */
    public static CpuBudget ofMessage() {
        return new CpuBudget(OF_A_MESSAGE);
    }

    @Override
    public void ask() {
        if (THREADS.getCurrentThreadCpuTime() > end) {
            throw new Spent("reading and deciding it takes more than " + OF_A_MESSAGE.toSeconds() + " s");
        }
    }
}
