package app.jubek.server.progress;

import java.util.Collection;
import java.util.UUID;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface IntakeFailureRepository extends Repository<IntakeFailureEntity, IntakeFailureEntity.Key> {
    String THESE = " where f.key.mailboxId = :mailbox and f.key.folder = :folder and f.key.uidValidity = :validity"
            + " and f.key.uid in :uids";

    @Query("select count(f) > 0 from IntakeFailureEntity f" + THESE)
    boolean hasOneOf(UUID mailbox, String folder, long validity, Collection<Long> uids);

    /** One more; an empty cause leaves the one that was told before. */
    @Modifying
    @Query("insert into IntakeFailureEntity as f (key.mailboxId, key.folder, key.uidValidity, key.uid, times, cause)"
            + " values (:mailbox, :folder, :validity, :uid, 1, :cause)"
            + " on conflict (key.mailboxId, key.folder, key.uidValidity, key.uid)"
            + " do update set times = f.times + 1,"
            + " cause = case when excluded.cause = '' then f.cause else excluded.cause end")
    void count(UUID mailbox, String folder, long validity, long uid, String cause);

    @Query("select f.times from IntakeFailureEntity f where f.key = :key")
    int times(IntakeFailureEntity.Key key);

    @Modifying
    @Query("delete from IntakeFailureEntity f" + THESE)
    void forget(UUID mailbox, String folder, long validity, Collection<Long> uids);
}
