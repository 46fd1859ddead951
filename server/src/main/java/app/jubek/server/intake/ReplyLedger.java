package app.jubek.server.intake;

import app.jubek.core.rule.RuleId;
import app.jubek.core.safety.Ledger;
import java.util.List;
import java.util.Map;
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
        return new Ledger(jdbc.sql("select rule_id, max(at) from reply_ledger"
                        + " where mailbox_id = :mailbox and writer in (:writers) group by step_id, rule_id")
                .params(Map.of("mailbox", mailbox, "writers", writers))
                .query((row, n) -> new Ledger.Entry(
                        new RuleId(row.getString(1)), row.getTimestamp(2).toInstant()))
                .list());
    }
}
