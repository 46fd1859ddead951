package app.jubek.server.intake;

import app.jubek.core.safety.Ledger;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Who got which automatic answer when. */
@Component
class ReplyLedger {
    private final JdbcClient jdbc;

    ReplyLedger(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** Answers to a writer who is known by several addresses; one answer counts once. */
    Ledger of(UUID mailbox, List<String> writers) {
        if (writers.isEmpty()) {
            return Ledger.empty();
        }
        return new Ledger(jdbc.sql("select answer_key, max(at), array_agg(writer) from reply_ledger where step_id in"
                        + " (select step_id from reply_ledger where mailbox_id = :mailbox and writer in (:writers))"
                        + " group by step_id, answer_key")
                .params(Map.of("mailbox", mailbox, "writers", writers))
                .query((row, n) -> new Ledger.Entry(
                        row.getString(1),
                        Set.of((String[]) row.getArray(3).getArray()),
                        row.getTimestamp(2).toInstant()))
                .list());
    }
}
