package app.jubek.server.delivery;

import app.jubek.server.nodes.Nodes;
import app.jubek.server.platform.Border;
import app.jubek.server.platform.StandingWork;
import app.jubek.server.platform.StandingWorks;
import app.jubek.server.queue.Claims;
import app.jubek.server.signals.Signal;
import app.jubek.server.signals.Signals;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.locks.LockSupport;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.stereotype.Service;

/** The threads that empty the outbox; woken by the database after a plan is committed, and every two seconds anyway. */
@Service
public class DeliveryService implements DisposableBean {
    private static final Logger LOG = LoggerFactory.getLogger(DeliveryService.class);

    /** How long what is being sent may take when the server is to stop. */
    private static final Duration PATIENCE = Duration.ofSeconds(20);

    private static final long PAUSE_NANOS = 2_000_000_000L;

    private final Worker worker;
    private final Claims claims;
    private final Signals signals;
    private final Duration renewal;
    private final StandingWorks standing;
    private final List<StandingWork> workers = new ArrayList<>();
    private volatile boolean stopped;

    DeliveryService(Worker worker, Claims claims, Signals signals, Nodes nodes, StandingWorks standing) {
        this.worker = worker;
        this.claims = claims;
        this.signals = signals;
        this.renewal = Duration.ofMillis(Math.min(2_000, nodes.lease().toMillis() / 4));
        this.standing = standing;
    }

    public synchronized void start() {
        for (int i = 0; i < Claims.WORKERS; i++) {
            workers.add(standing.start("outbox " + i, this::work));
        }
        signals.listen(signal -> {
            if (signal.topic() == Signal.Topic.WORK) {
                workers.forEach(StandingWork::wake);
            }
        });
        standing.start("outbox leases", this::tend);
    }

    private void work() {
        while (!stopped) {
            Border.around(() -> {
                        while (!stopped && worker.work()) {
                            LOG.trace("more to do");
                        }
                    })
                    .ifPresent(away -> LOG.warn("the outbox can't be read: {}", away.words()));
            if (!stopped) {
                LockSupport.parkNanos(PAUSE_NANOS);
            }
        }
    }

    /** On a thread of its own: timers end as soon as the server is to stop, and what is being sent then goes on. */
    private void tend() {
        while (!stopped) {
            Border.around(() -> {
                        claims.renew();
                        claims.takeUpAbandoned();
                    })
                    .ifPresent(away -> LOG.warn("what is under way can't be renewed: {}", away.words()));
            LockSupport.parkNanos(renewal.toNanos());
        }
    }

    @Override
    public synchronized void destroy() throws InterruptedException {
        stopped = true;
        workers.forEach(StandingWork::stop);
        long end = System.nanoTime() + PATIENCE.toNanos();
        for (StandingWork each : workers) {
            each.join(Duration.ofNanos(end - System.nanoTime()));
        }
        claims.giveUp();
    }
}
