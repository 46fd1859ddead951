package app.jubek.server.progress;

import app.jubek.server.nodes.Nodes;
import java.time.Duration;
import java.util.Optional;
import java.util.UUID;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Which node watches which mailbox, by the database's own time. */
@Component
public class WatchLeases {
    private final WatchLeaseRepository leases;
    private final UUID node;
    private final Duration lease;

    @Autowired
    WatchLeases(WatchLeaseRepository leases, Nodes nodes) {
        this(leases, nodes.id(), nodes.lease());
    }

    WatchLeases(WatchLeaseRepository leases, UUID node, Duration lease) {
        this.leases = leases;
        this.node = node;
        this.lease = lease;
    }

    /** How often it is to be renewed at least. */
    public Duration renewal() {
        return lease.dividedBy(3);
    }

    /** Takes or renews the lease; empty while another node has it. */
    @Transactional
    public Optional<Lease> take(UUID mailbox) {
        boolean taken =
                leases.take(mailbox, node, lease.toNanos()) == 1 || leases.first(mailbox, node, lease.toNanos()) == 1;
        return taken ? Optional.of(new Lease(mailbox, node, leases.token(mailbox))) : Optional.empty();
    }

    /** Whether any node watches a mailbox. */
    @Transactional(readOnly = true)
    public boolean isHeld(UUID mailbox) {
        return leases.isHeld(mailbox);
    }

    @Transactional
    public void giveBack(UUID mailbox) {
        leases.end(mailbox, node);
    }
}
