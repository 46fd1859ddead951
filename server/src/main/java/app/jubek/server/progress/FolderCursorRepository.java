package app.jubek.server.progress;

import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface FolderCursorRepository extends Repository<FolderCursorEntity, FolderCursorEntity.Key> {
    String OF = " where c.key.mailboxId = :mailbox and c.key.folder = :folder";

    @Query("select new app.jubek.server.progress.FolderCursors$Cursor(c.uidValidity, c.uid, c.baseline, c.readBelow)"
            + " from FolderCursorEntity c" + OF)
    Optional<FolderCursors.Cursor> find(UUID mailbox, String folder);

    @Modifying
    @Query("insert into FolderCursorEntity (key.mailboxId, key.folder, uidValidity, uid, baseline, readBelow,"
            + " readingTotal, readingDone, actsFrom)"
            + " values (:mailbox, :folder, :validity, :base, :base, :base + 1, 0, 0, :from)"
            + " on conflict (key.mailboxId, key.folder) do update set uidValidity = excluded.uidValidity,"
            + " uid = excluded.uid, baseline = excluded.baseline, readBelow = excluded.readBelow,"
            + " readingTotal = 0, readingDone = 0, actsFrom = excluded.actsFrom")
    void begin(UUID mailbox, String folder, long validity, long base, Instant from);

    @Query("select c.actsFrom from FolderCursorEntity c" + OF)
    Optional<Instant> actsFrom(UUID mailbox, String folder);

    /** Only while the lease is the one that is held. */
    @Modifying
    @Query("update FolderCursorEntity c set c.uid = :uid" + OF
            + " and c.uidValidity = :validity and c.uid < :uid and exists (select 1 from WatchLeaseEntity l"
            + " where l.mailboxId = :mailbox and l.holder = :holder and l.fencingToken = :token)")
    int advance(UUID mailbox, String folder, long validity, long uid, UUID holder, long token);

    @Modifying
    @Query("update FolderCursorEntity c set c.readingTotal = c.readingDone + :total" + OF)
    void readingBegins(UUID mailbox, String folder, int total);

    @Modifying
    @Query("update FolderCursorEntity c set c.readBelow = :uid, c.readingDone = c.readingDone + :count" + OF)
    void readDownTo(UUID mailbox, String folder, long uid, int count);

    @Modifying
    @Query("update FolderCursorEntity c set c.readingPaused = :paused" + OF)
    void pauseReading(UUID mailbox, String folder, boolean paused);

    @Query("select new app.jubek.server.progress.FolderCursors$Reading(c.readingTotal, c.readingDone, c.readBelow = 0,"
            + " c.readingPaused)"
            + " from FolderCursorEntity c" + OF)
    Optional<FolderCursors.Reading> reading(UUID mailbox, String folder);
}
