package app.jubek.server.addressbook;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface GroupRepository extends JpaRepository<GroupEntity, UUID> {
    @Query("select g from GroupEntity g where g.mailboxId = :mailbox order by lower(g.name)")
    List<GroupEntity> byName(UUID mailbox);

    /** Returns 0 for another mailbox's group. */
    @Modifying(clearAutomatically = true)
    @Query("insert into GroupEntity (id, mailboxId, name, members) values (:id, :mailbox, :name, :members)"
            + " on conflict (id) do update set name = excluded.name, members = excluded.members"
            + " where mailboxId = excluded.mailboxId")
    int put(UUID id, UUID mailbox, String name, String[] members);

    @Modifying
    @Query("delete from GroupEntity g where g.id = :id and g.mailboxId = :mailbox")
    int remove(UUID id, UUID mailbox);
}
