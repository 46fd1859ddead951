package app.jubek.server.delivery;

import app.jubek.server.platform.Border;
import app.jubek.server.platform.Nodes;
import app.jubek.server.platform.StandingWork;
import app.jubek.server.platform.StandingWorks;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.locks.LockSupport;
import javax.sql.DataSource;
import org.postgresql.PGConnection;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.stereotype.Service;

/** The threads that empty the outbox; woken by the database after a plan is committed, and every two seconds anyway. */
@Service
public class DeliveryService implements DisposableBean {
    private static final Logger LOG = LoggerFactory.getLogger(DeliveryService.class);
    static final int WORKERS = 6;

    /** How long what is being sent may take when the server is to stop. */
    private static final Duration PATIENCE = Duration.ofSeconds(20);

    private static final long PAUSE_NANOS = 2_000_000_000L;

    private final Worker worker;
    private final Claims claims;
    private final DataSource database;
    private final StandingWorks standing;
    private final List<StandingWork> workers = new ArrayList<>();
    private final int listenMillis;
    private volatile boolean stopped;

    DeliveryService(Worker worker, Claims claims, DataSource database, Nodes nodes, StandingWorks standing) {
        this.listenMillis = (int) Math.min(2_000, nodes.lease().toMillis() / 4);
        this.worker = worker;
        this.claims = claims;
        this.database = database;
        this.standing = standing;
    }

    public synchronized void start() {
        for (int i = 0; i < WORKERS; i++) {
            workers.add(standing.start("outbox " + i, this::work));
        }
        standing.start("outbox listener", this::listen);
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

    private void listen() {
        while (!stopped) {
            Border.around(this::listenWhileConnected).ifPresent(away -> {
                LOG.warn("the outbox listener lost the database: {}", away.words());
                LockSupport.parkNanos(PAUSE_NANOS);
            });
        }
    }

    private void listenWhileConnected() throws SQLException {
        try (Connection connection = database.getConnection();
                Statement statement = connection.createStatement()) {
            statement.execute("listen " + Outbox.CHANNEL);
            PGConnection postgres = connection.unwrap(PGConnection.class);
            while (!stopped) {
                if (postgres.getNotifications(listenMillis).length > 0) {
                    workers.forEach(StandingWork::wake);
                }
                claims.renew();
                claims.takeUpAbandoned();
            }
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
