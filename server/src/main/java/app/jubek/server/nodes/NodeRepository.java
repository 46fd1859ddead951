package app.jubek.server.nodes;

import java.time.Instant;
import java.util.UUID;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

/** All times are the database's. */
interface NodeRepository extends Repository<NodeEntity, UUID> {
    @Modifying
    @Query("insert into NodeEntity (id, schemaVersion, seenAt) values (:id, :version, instant)"
            + " on conflict (id) do update set seenAt = excluded.seenAt")
    void isHere(UUID id, int version);

    @Modifying
    @Query("delete from NodeEntity n where n.seenAt < instant - 1 day")
    void forgetOld();

    @Modifying
    @Query("delete from NodeEntity n where n.id = :id")
    void forget(UUID id);

    @Query("select function(clock_timestamp as Instant)")
    Instant now();
}
