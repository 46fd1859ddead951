package app.jubek.server.signals;

import app.jubek.server.platform.Border;
import app.jubek.server.platform.StandingWorks;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import java.util.function.Consumer;
import javax.sql.DataSource;
import org.postgresql.PGConnection;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * Signals between all processes on the database, by its LISTEN and NOTIFY. One that is sent inside a transaction is
 * heard after the commit. While the database is away none is heard, so whoever listens looks from time to time as well.
 */
@Component
public class Signals implements DisposableBean {
    private static final Logger LOG = LoggerFactory.getLogger(Signals.class);
    private static final String CHANNEL = "jubek";
    private static final int LOOK_UP_MILLIS = 1_000;
    private static final long PAUSE_NANOS = Duration.ofSeconds(2).toNanos();

    private final JdbcClient jdbc;
    private final DataSource database;
    private final StandingWorks standing;
    private final Set<Signal> gathered = ConcurrentHashMap.newKeySet();
    private final List<Consumer<Signal>> listeners = new CopyOnWriteArrayList<>();
    private volatile boolean stopped;

    Signals(JdbcClient jdbc, DataSource database, StandingWorks standing) {
        this.jdbc = jdbc;
        this.database = database;
        this.standing = standing;
    }

    /** With the commit of the caller's transaction; costs each of them a wait for the others. */
    public void send(Signal signal) {
        jdbc.sql("select pg_notify(?, ?)")
                .params(CHANNEL, signal.written())
                .query((row, n) -> n)
                .list();
    }

    /** Soon after the commit, many as one; for what only pages wait for. */
    public void sendSoon(Signal signal) {
        if (!TransactionSynchronizationManager.isSynchronizationActive()) {
            gathered.add(signal);
            return;
        }
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCommit() {
                gathered.add(signal);
            }
        });
    }

    @Scheduled(fixedDelay = 100, timeUnit = TimeUnit.MILLISECONDS)
    void sendGathered() {
        List<Signal> now = List.copyOf(gathered);
        now.forEach(gathered::remove);
        Border.around(() -> now.forEach(this::send)).ifPresent(away -> {
            LOG.debug("signals wait for the database: {}", away.words());
            gathered.addAll(now);
        });
    }

    /** Each listener returns at once. */
    public void listen(Consumer<Signal> listener) {
        listeners.add(listener);
    }

    public void start() {
        standing.start("signals", this::hear);
    }

    private void hear() {
        while (!stopped) {
            Border.around(this::hearWhileConnected).ifPresent(away -> {
                LOG.warn("signals of the database are not heard: {}", away.words());
                LockSupport.parkNanos(PAUSE_NANOS);
            });
        }
    }

    private void hearWhileConnected() throws SQLException {
        try (Connection connection = database.getConnection();
                Statement statement = connection.createStatement()) {
            statement.execute("listen " + CHANNEL);
            PGConnection postgres = connection.unwrap(PGConnection.class);
            while (!stopped) {
                Arrays.stream(postgres.getNotifications(LOOK_UP_MILLIS))
                        .flatMap(heard -> Signal.read(heard.getParameter()).stream())
                        .distinct()
                        .forEach(signal -> listeners.forEach(listener -> tell(listener, signal)));
            }
        }
    }

    private static void tell(Consumer<Signal> listener, Signal signal) {
        Border.around(() -> listener.accept(signal))
                .ifPresent(failed -> LOG.error("a signal was lost on a listener: {}", failed.trace()));
    }

    @Override
    public void destroy() {
        sendGathered();
        stopped = true;
    }
}
