package app.jubek.server.mailbox;

import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Which node watches which mailbox, by the database's own time. */
@Component
class WatchLeases {
    private final JdbcClient jdbc;
    private final UUID node = UUID.randomUUID();

    WatchLeases(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** Takes or renews the lease for 45 seconds; empty while another node has it. */
    @Transactional
    public Optional<Lease> take(UUID mailbox) {
        return jdbc.sql("""
                        insert into watch_lease (mailbox_id, holder, fence, until)
                        values (:mailbox, :node, 1, now() + interval '45 seconds')
                        on conflict (mailbox_id) do update
                        set holder = :node, until = now() + interval '45 seconds',
                            fence = case when watch_lease.holder = :node then watch_lease.fence
                                         else watch_lease.fence + 1 end
                        where watch_lease.holder = :node or watch_lease.until < now()
                        returning fence""")
                .param("mailbox", mailbox)
                .param("node", node)
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
