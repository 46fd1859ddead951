package app.jubek.server.records;

import java.sql.Timestamp;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** When each person last left the desk of a mailbox. */
@Component
class Looks {
    private final JdbcClient jdbc;

    Looks(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    Optional<Instant> last(UUID account, UUID mailbox) {
        return jdbc.sql("select at from desk_look where account_id = ? and mailbox_id = ?")
                .params(account, mailbox)
                .query(Timestamp.class)
                .optional()
                .map(Timestamp::toInstant);
    }

    void looked(UUID account, UUID mailbox, Instant at) {
        jdbc.sql("insert into desk_look (account_id, mailbox_id, at) values (?, ?, ?)"
                        + " on conflict (account_id, mailbox_id) do update set at = excluded.at")
                .params(account, mailbox, Timestamp.from(at))
                .update();
    }
}
