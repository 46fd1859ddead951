package app.jubek.server.delivery;

import app.jubek.server.platform.Nodes;
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
    private static final int WORKERS = 3;

    /** How long what is being sent may take when the server is to stop. */
    private static final Duration PATIENCE = Duration.ofSeconds(20);

    private static final long PAUSE_NANOS = 2_000_000_000L;

    private final Worker worker;
    private final Claims claims;
    private final DataSource database;
    private final List<Thread> workers = new ArrayList<>();
    private final int listenMillis;
    private volatile boolean stopped;

    DeliveryService(Worker worker, Claims claims, DataSource database, Nodes nodes) {
        this.listenMillis = (int) Math.min(2_000, nodes.lease().toMillis() / 4);
        this.worker = worker;
        this.claims = claims;
        this.database = database;
    }

    public synchronized void start() {
        for (int i = 0; i < WORKERS; i++) {
            Thread thread = new Thread(this::work, "outbox " + i);
            workers.add(thread);
            thread.start();
        }
        Thread listener = new Thread(this::listen, "outbox listener");
        listener.setDaemon(true);
        listener.start();
    }

    private void work() {
        while (!stopped) {
            try {
                while (!stopped && worker.work()) {
                    LOG.trace("more to do");
                }
            } catch (RuntimeException away) {
                LOG.warn("the outbox can't be read: {}", away.toString());
            }
            if (!stopped) {
                LockSupport.parkNanos(PAUSE_NANOS);
            }
        }
    }

    private void listen() {
        while (!stopped) {
            try (Connection connection = database.getConnection();
                    Statement statement = connection.createStatement()) {
                statement.execute("listen " + Outbox.CHANNEL);
                PGConnection postgres = connection.unwrap(PGConnection.class);
                while (!stopped) {
                    if (postgres.getNotifications(listenMillis).length > 0) {
                        workers.forEach(LockSupport::unpark);
                    }
                    claims.renew();
                    claims.takeUpAbandoned();
                }
            } catch (SQLException | RuntimeException away) {
                LOG.warn("the outbox listener lost the database: {}", away.toString());
                LockSupport.parkNanos(PAUSE_NANOS);
            }
        }
    }

    @Override
    public synchronized void destroy() throws InterruptedException {
        stopped = true;
        workers.forEach(LockSupport::unpark);
        long end = System.nanoTime() + PATIENCE.toNanos();
        for (Thread thread : workers) {
            thread.join(Math.max(1, (end - System.nanoTime()) / 1_000_000));
        }
        claims.giveUp();
    }
}
