package app.jubek.server.delivery;

import app.jubek.core.step.Step;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Messages that a person wants to look at by a day. */
@Service
public class LookBys {
    private final JdbcClient jdbc;

    LookBys(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /**
     * @param day the last one
     */
    public record LookBy(long message, LocalDate day) {}

    /** Those whose day lies between two, both included, the earliest first; mail that is gone is left out. */
    @Transactional(readOnly = true)
    public List<LookBy> between(UUID mailbox, LocalDate first, LocalDate last) {
        return jdbc.sql("select s.message_id, min(tag) from step s join message m on m.id = s.message_id,"
                        + " jsonb_array_elements_text(s.detail -> 'tags') tag"
                        + " where s.mailbox_id = ? and s.kind = 'MARK' and s.state = 'SENT' and m.gone_at is null"
                        + " and jsonb_typeof(s.detail -> 'tags') = 'array' and tag between ? and ?"
                        + " group by s.message_id order by 2, 1")
                .params(mailbox, Step.LookBy.TAG + first, Step.LookBy.TAG + last)
                .query((row, n) -> new LookBy(
                        row.getLong(1), LocalDate.parse(row.getString(2).substring(Step.LookBy.TAG.length()))))
                .list();
    }
}
