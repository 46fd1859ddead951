package app.jubek.server.progress;

import java.util.UUID;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;
import org.springframework.transaction.annotation.Transactional;

/** All times are the database's. */
@Transactional
interface WatchLeaseRepository extends Repository<WatchLeaseEntity, UUID> {
    @Modifying
    @Query("insert into WatchLeaseEntity (mailboxId, holder, fencingToken, until)"
            + " values (:mailbox, :holder, 1L, instant + :nanos nanosecond) on conflict (mailboxId) do nothing")
    int first(UUID mailbox, UUID holder, long nanos);

    /** By its holder, or when it has run out; a new holder gets a higher token. */
    @Modifying
    @Query("update WatchLeaseEntity l set l.holder = :holder, l.until = instant + :nanos nanosecond,"
            + " l.fencingToken = case when l.holder = :holder then l.fencingToken else l.fencingToken + 1 end"
            + " where l.mailboxId = :mailbox and (l.holder = :holder or l.until < instant)")
    int take(UUID mailbox, UUID holder, long nanos);

    @Query("select l.fencingToken from WatchLeaseEntity l where l.mailboxId = :mailbox")
    long token(UUID mailbox);

    @Query("select count(l) > 0 from WatchLeaseEntity l where l.mailboxId = :mailbox and l.until > instant")
    boolean isHeld(UUID mailbox);

    @Modifying
    @Query("update WatchLeaseEntity l set l.until = instant where l.mailboxId = :mailbox and l.holder = :holder")
    void end(UUID mailbox, UUID holder);
}
