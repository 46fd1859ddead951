package app.jubek.server.delivery;

import app.jubek.core.step.Sound;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What people are told about in the browser. */
@Service
public class Notices {
    private final JdbcClient jdbc;
    private final Clock clock;

    Notices(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /**
     * @param id grows with every notice
     * @param sound one of those that ship with Jubek
     */
    public record Notice(long id, long message, String rule, String sound, Instant at) {}

    @Transactional
    void tell(StepEntity step, Sound sound) {
        jdbc.sql("insert into notice (mailbox_id, message_id, rule_name, sound, at) values (?, ?, ?, ?, ?)")
                .params(
                        step.mailboxId(),
                        step.messageId(),
                        step.ruleName(),
                        sound.name().toLowerCase(Locale.ROOT),
                        Timestamp.from(clock.instant()))
                .update();
    }

    /** The latest after one of them, oldest first. */
    @Transactional(readOnly = true)
    public List<Notice> after(UUID mailbox, long after, int limit) {
        return jdbc.sql("select * from (select id, message_id, rule_name, sound, at from notice"
                        + " where mailbox_id = ? and id > ? order by id desc limit ?) latest order by id")
                .params(mailbox, after, limit)
                .query((row, n) -> new Notice(
                        row.getLong(1),
                        row.getLong(2),
                        row.getString(3),
                        row.getString(4),
                        row.getTimestamp(5).toInstant()))
                .list();
    }

    /** The id of the last one; 0 where there was none. */
    @Transactional(readOnly = true)
    public long last(UUID mailbox) {
        return jdbc.sql("select coalesce(max(id), 0) from notice where mailbox_id = ?")
                .param(mailbox)
                .query(Long.class)
                .single();
    }
}
