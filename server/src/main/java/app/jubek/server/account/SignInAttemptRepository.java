package app.jubek.server.account;

import java.time.Instant;
import java.util.Collection;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

/** All times are the database's at the moment of the statement. */
interface SignInAttemptRepository extends Repository<SignInAttemptEntity, SignInAttemptEntity.Key> {
    /** How often, when last and what time it is. */
    interface Counted {
        long getTimes();

        Optional<Instant> getLast();

        Instant getNow();
    }

    @Modifying
    @Query("delete from SignInAttemptEntity a where a.at < instant - 1 hour")
    void forgetOld();

    /** Until the end of the transaction nobody else counts by this key. Native, as locks that belong to no row are. */
    @Query(nativeQuery = true, value = "select 1 from pg_advisory_xact_lock(hashtext(:key))")
    int lock(String key);

    @Modifying
    @Query("insert into SignInAttemptEntity (key.id, key.countedBy, at)"
            + " values (:id, :key, function(clock_timestamp as Instant))")
    void note(UUID id, String key);

    @Query(
            "select count(a) as times, max(a.at) as last, function(clock_timestamp as Instant) as now from SignInAttemptEntity a"
                    + " where a.key.countedBy = :key")
    Counted count(String key);

    @Modifying
    @Query("delete from SignInAttemptEntity a where a.key.id = :id or a.key.countedBy in :keys")
    void forget(UUID id, Collection<String> keys);
}
