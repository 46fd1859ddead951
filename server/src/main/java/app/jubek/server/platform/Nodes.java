package app.jubek.server.platform;

import java.time.Duration;
import java.util.UUID;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.context.ApplicationContext;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * This process among all that work on one database. It says every quarter of a lease that it is there, and goes by the
 * database's time, so that a clock that is off does no harm. It stops when the database was changed for a newer version.
 */
@Component
public class Nodes implements DisposableBean {
    private static final Logger LOG = LoggerFactory.getLogger(Nodes.class);
    private static final long IGNORED_SKEW_MS = 1_000;

    private final UUID id = UUID.randomUUID();
    private final JdbcClient jdbc;
    private final Duration lease;
    private final MovableClock clock;
    private final ApplicationContext context;
    private final ScheduledExecutorService heart = Executors.newSingleThreadScheduledExecutor();

    Nodes(JdbcClient jdbc, JubekProperties properties, MovableClock clock, ApplicationContext context) {
        this.jdbc = jdbc;
        this.lease = properties.lease();
        this.clock = clock;
        this.context = context;
    }

    public UUID id() {
        return id;
    }

    /** How long a node keeps what it has taken without saying that it is still there. */
    public Duration lease() {
        return lease;
    }

    public void start() {
        beat();
        long pause = Math.max(lease.toMillis() / 4, 200);
        heart.scheduleWithFixedDelay(this::beatOrSay, pause, pause, TimeUnit.MILLISECONDS);
    }

    private void beatOrSay() {
        Border.around(this::beat).ifPresent(away -> LOG.warn("this node can't say that it is there: {}", away.trace()));
    }

    private void beat() {
        jdbc.sql("delete from node where seen_at < now() - interval '1 day'").update();
        jdbc.sql("insert into node (id, schema_version, seen_at) values (?, ?, now())"
                        + " on conflict (id) do update set seen_at = now()")
                .params(id, SchemaVersion.KNOWN)
                .update();
        correctClock();
        if (SchemaVersion.of(jdbc) > SchemaVersion.KNOWN) {
            LOG.error("the database was changed for a newer version of Jubek; this process stops");
            new Thread(() -> System.exit(org.springframework.boot.SpringApplication.exit(context, () -> 3))).start();
        }
    }

    private void correctClock() {
        long ours = System.currentTimeMillis();
        long database = jdbc.sql("select (extract(epoch from clock_timestamp()) * 1000)::bigint")
                .query(Long.class)
                .single();
        long skew = database - ours;
        if (Math.abs(skew - clock.correction().toMillis()) > IGNORED_SKEW_MS) {
            LOG.warn("this machine's clock is {} ms off the database's; Jubek goes by the database's", -skew);
            clock.correctBy(Duration.ofMillis(skew));
        }
    }

    @Override
    public void destroy() {
        heart.shutdownNow();
        try {
            jdbc.sql("delete from node where id = ?").param(id).update();
        } catch (DataAccessException away) {
            LOG.debug("the database was gone before this node could sign off");
        }
    }
}
