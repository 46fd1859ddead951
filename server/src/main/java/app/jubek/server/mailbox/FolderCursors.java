package app.jubek.server.mailbox;

import java.sql.Timestamp;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** How far each folder has been taken in, and how far back its past mail has been read. */
@Component
public class FolderCursors {
    private final JdbcClient jdbc;

    FolderCursors(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /**
     * @param uid the last UID taken in
     * @param baseline the last UID that was there when the mailbox was connected
     * @param readBelow past mail at and above this UID has been read; 0 when all has
     */
    record Cursor(long uidValidity, long uid, long baseline, long readBelow) {}

    /**
     * Where a folder is taken up.
     *
     * @param baseline everything up to this UID is past mail
     * @param actsFrom what came in before is past mail too, whatever its UID
     */
    public record Start(long uidValidity, long baseline, Instant actsFrom) {}

    /** Progress of the first reading. */
    public record Reading(int total, int done, boolean finished) {}

    Optional<Cursor> find(UUID mailbox, String folder) {
        return jdbc.sql("select uid_validity, uid, baseline, read_below from folder_cursor"
                        + " where mailbox_id = ? and folder = ?")
                .params(mailbox, folder)
                .query((row, n) -> new Cursor(row.getLong(1), row.getLong(2), row.getLong(3), row.getLong(4)))
                .optional();
    }

    @Transactional
    public void begin(UUID mailbox, String folder, Start start) {
        jdbc.sql("""
                        insert into folder_cursor
                        (mailbox_id, folder, uid_validity, uid, baseline, read_below, reading_total, reading_done,
                         acts_from)
                        values (:mailbox, :folder, :validity, :base, :base, :base + 1, 0, 0, :from)
                        on conflict (mailbox_id, folder) do update
                        set uid_validity = :validity, uid = :base, baseline = :base, read_below = :base + 1,
                            reading_total = 0, reading_done = 0, acts_from = :from""")
                .param("mailbox", mailbox)
                .param("folder", folder)
                .param("validity", start.uidValidity())
                .param("base", start.baseline())
                .param("from", Timestamp.from(start.actsFrom()))
                .update();
    }

    /** Whether a message is past mail though it stands above the baseline. */
    public boolean isPast(UUID mailbox, Fetched message) {
        return jdbc.sql("select acts_from > ? from folder_cursor where mailbox_id = ? and folder = ?")
                .params(
                        Timestamp.from(message.received()),
                        mailbox,
                        message.place().folder())
                .query(Boolean.class)
                .optional()
                .orElse(false);
    }

    /**
     * Moves past one message, inside the transaction that took it in.
     *
     * @return false when another node has the lease by now, or the cursor is past it already
     */
    public boolean advance(Lease lease, Fetched.Place place) {
        return jdbc.sql("""
                        update folder_cursor set uid = :uid
                        where mailbox_id = :mailbox and folder = :folder and uid_validity = :validity and uid < :uid
                        and exists (select 1 from watch_lease l
                                    where l.mailbox_id = :mailbox and l.holder = :holder and l.fence = :fence)""")
                        .param("uid", place.uid())
                        .param("mailbox", lease.mailbox())
                        .param("folder", place.folder())
                        .param("validity", place.uidValidity())
                        .param("holder", lease.holder())
                        .param("fence", lease.fence())
                        .update()
                == 1;
    }

    @Transactional
    public void readingBegins(UUID mailbox, String folder, int total) {
        jdbc.sql("update folder_cursor set reading_total = reading_done + ? where mailbox_id = ? and folder = ?")
                .params(total, mailbox, folder)
                .update();
    }

    @Transactional
    public void readDownTo(UUID mailbox, String folder, long uid, int count) {
        jdbc.sql("update folder_cursor set read_below = ?, reading_done = reading_done + ?"
                        + " where mailbox_id = ? and folder = ?")
                .params(uid, count, mailbox, folder)
                .update();
    }

    public Optional<Reading> reading(UUID mailbox, String folder) {
        return jdbc.sql("select reading_total, reading_done, read_below from folder_cursor"
                        + " where mailbox_id = ? and folder = ?")
                .params(mailbox, folder)
                .query((row, n) -> new Reading(row.getInt(1), row.getInt(2), row.getLong(3) == 0))
                .optional();
    }
}
