package app.jubek.server.mailbox;

import app.jubek.server.platform.Nodes;
import java.time.Duration;
import java.util.Optional;
import java.util.UUID;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Which node watches which mailbox, by the database's own time. */
@Component
class WatchLeases {
    private final JdbcClient jdbc;
    private final UUID node;
    private final Duration lease;

    @Autowired
    WatchLeases(JdbcClient jdbc, Nodes nodes) {
        this(jdbc, nodes.id(), nodes.lease());
    }

    WatchLeases(JdbcClient jdbc, UUID node, Duration lease) {
        this.jdbc = jdbc;
        this.node = node;
        this.lease = lease;
    }

    /** How often it is to be renewed at least. */
    Duration renewal() {
        return lease.dividedBy(3);
    }

    /** Takes or renews the lease; empty while another node has it. */
    @Transactional
    public Optional<Lease> take(UUID mailbox) {
        return jdbc.sql("""
                        insert into watch_lease (mailbox_id, holder, fence, until)
                        values (:mailbox, :node, 1, now() + :millis * interval '1 millisecond')
                        on conflict (mailbox_id) do update
                        set holder = :node, until = now() + :millis * interval '1 millisecond',
                            fence = case when watch_lease.holder = :node then watch_lease.fence
                                         else watch_lease.fence + 1 end
                        where watch_lease.holder = :node or watch_lease.until < now()
                        returning fence""")
                .param("mailbox", mailbox)
                .param("node", node)
                .param("millis", lease.toMillis())
                .query(Long.class)
                .optional()
                .map(fence -> new Lease(mailbox, node, fence));
    }

    @Transactional
    public void giveBack(UUID mailbox) {
        jdbc.sql("update watch_lease set until = now() where mailbox_id = ? and holder = ?")
                .params(mailbox, node)
                .update();
    }
}
