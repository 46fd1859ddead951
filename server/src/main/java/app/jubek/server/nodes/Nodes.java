package app.jubek.server.nodes;

import app.jubek.server.platform.Border;
import app.jubek.server.platform.JubekProperties;
import app.jubek.server.platform.MovableClock;
import java.time.Duration;
import java.time.Instant;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.context.ApplicationContext;
import org.springframework.dao.DataAccessException;
import org.springframework.scheduling.TaskScheduler;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionException;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * This process among all that work on one database. It says every quarter of a lease that it is there, and goes by the
 * database's time, so that a clock that is off does no harm. It stops when the database was changed for a newer version.
 */
@Component
public class Nodes implements DisposableBean {
    private static final Logger LOG = LoggerFactory.getLogger(Nodes.class);
    private static final long IGNORED_SKEW_MS = 1_000;

    private final UUID id = UUID.randomUUID();
    private final NodeRepository nodes;
    private final SchemaVersion schema;
    private final TransactionTemplate transaction;
    private final Duration lease;
    private final MovableClock clock;
    private final ApplicationContext context;
    private final TaskScheduler timer;

    Nodes(
            NodeRepository nodes,
            SchemaVersion schema,
            TransactionTemplate transaction,
            JubekProperties properties,
            MovableClock clock,
            TaskScheduler timer,
            ApplicationContext context) {
        this.nodes = nodes;
        this.schema = schema;
        this.transaction = transaction;
        this.timer = timer;
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
        Duration pause = Duration.ofMillis(Math.max(lease.toMillis() / 4, 200));
        timer.scheduleWithFixedDelay(this::beatOrSay, timer.getClock().instant().plus(pause), pause);
    }

    private void beatOrSay() {
        Border.around(this::beat).ifPresent(away -> LOG.warn("this node can't say that it is there: {}", away.trace()));
    }

    private void beat() {
        Instant database = transaction.execute(status -> {
            nodes.forgetOld();
            nodes.isHere(id, SchemaVersion.KNOWN);
            return nodes.now();
        });
        correctClock(database);
        if (schema.found() > SchemaVersion.KNOWN) {
            LOG.error("the database was changed for a newer version of Jubek; this process stops");
            new Thread(() -> System.exit(org.springframework.boot.SpringApplication.exit(context, () -> 3))).start();
        }
    }

    private void correctClock(Instant database) {
        long skew = database.toEpochMilli() - System.currentTimeMillis();
        if (Math.abs(skew - clock.correction().toMillis()) > IGNORED_SKEW_MS) {
            LOG.warn("this machine's clock is {} ms off the database's; Jubek goes by the database's", -skew);
            clock.correctBy(Duration.ofMillis(skew));
        }
    }

    @Override
    public void destroy() {
        try {
            transaction.executeWithoutResult(status -> nodes.forget(id));
        } catch (DataAccessException | TransactionException away) {
            LOG.debug("the database was gone before this node could sign off");
        }
    }
}
