package app.jubek.server.platform;

import java.time.Duration;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.locks.LockSupport;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Work on a thread of its own that goes on until it is stopped: when it breaks off it is begun again after a pause, and
 * when its thread dies {@link StandingWorks} makes another.
 */
public final class StandingWork {
    private static final Logger LOG = LoggerFactory.getLogger(StandingWork.class);
    private static final Duration PAUSE = Duration.ofSeconds(1);

    private final String name;
    private final Runnable work;
    private final AtomicInteger restarts = new AtomicInteger();
    private volatile Optional<Thread> thread = Optional.empty();
    private volatile boolean stopped;

    /**
     * @param name of the thread
     * @param work returns only when it is to end
     */
    public StandingWork(String name, Runnable work) {
        this.name = name;
        this.work = work;
    }

    synchronized void start() {
        Thread made = new Thread(this::run, name);
        made.setDaemon(true);
        thread = Optional.of(made);
        made.start();
    }

    private void run() {
        while (!stopped) {
            Optional<Border.Failure> failure = Border.around(work::run);
            if (failure.isPresent() && !stopped) {
                restarts.incrementAndGet();
                LOG.error(
                        "{} broke off and is begun again: {}",
                        name,
                        failure.get().trace());
                LockSupport.parkNanos(PAUSE.toNanos());
            } else {
                return;
            }
        }
    }

    /** Makes another thread in place of one that died. */
    synchronized void tend() {
        if (!stopped && !isAlive()) {
            restarts.incrementAndGet();
            LOG.error("{} died and is begun again", name);
            start();
        }
    }

    public boolean isAlive() {
        return thread.filter(Thread::isAlive).isPresent();
    }

    /** Ends a pause of its thread. */
    public void wake() {
        thread.ifPresent(LockSupport::unpark);
    }

    /** It is to end; its work has to notice that by itself. */
    public void stop() {
        stopped = true;
        wake();
    }

    public void join(Duration most) throws InterruptedException {
        if (thread.isPresent()) {
            thread.get().join(Math.max(1, most.toMillis()));
        }
    }

    String name() {
        return name;
    }

    boolean isStopped() {
        return stopped;
    }

    int restarts() {
        return restarts.get();
    }
}
