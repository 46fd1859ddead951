package app.jubek.server.content;

import java.util.Collection;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.NoRepositoryBean;
import org.springframework.data.repository.Repository;

/**
 * What all kinds of content are asked.
 *
 * @param <O> the id of what the content belongs to
 */
@NoRepositoryBean
interface ContentPartRepository<P extends ContentPart, K, O> extends Repository<P, K> {
    /** Written without being held in memory afterwards. */
    @Modifying
    @Query("insert into #{#entityName} (key.owner, key.part, storedOn, bytes)"
            + " values (:owner, :part, local date, :bytes)")
    void put(O owner, int part, byte[] bytes);

    @Modifying
    @Query("delete from #{#entityName} p where p.key.owner in :owners")
    void remove(Collection<O> owners);

    @Query("select coalesce(sum(p.size), 0L) from #{#entityName} p where p.key.owner = :owner")
    long size(O owner);

    @Query("select count(p) from #{#entityName} p where p.key.owner = :owner")
    int parts(O owner);

    @Query("select p.bytes from #{#entityName} p where p.key.owner = :owner and p.key.part = :part")
    byte[] bytes(O owner, int part);
}
