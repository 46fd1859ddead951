package app.jubek.server.addressbook;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface PersonRepository extends JpaRepository<PersonEntity, UUID> {
    @Query("select p from PersonEntity p where p.mailboxId = :mailbox order by lower(p.name), p.addresses, p.id")
    List<PersonEntity> byName(UUID mailbox);

    /** One statement for new and known people, as whole address books come at once; 0 for another mailbox's person. */
    @Modifying(clearAutomatically = true)
    @Query("insert into PersonEntity (id, mailboxId, name, addresses, organisation, phone, note)"
            + " values (:id, :mailbox, :name, :addresses, :organisation, :phone, :note)"
            + " on conflict (id) do update set name = excluded.name, addresses = excluded.addresses,"
            + " organisation = excluded.organisation, phone = excluded.phone, note = excluded.note"
            + " where mailboxId = excluded.mailboxId")
    int put(UUID id, UUID mailbox, String name, String[] addresses, String organisation, String phone, String note);

    @Modifying
    @Query("delete from PersonEntity p where p.id = :id and p.mailboxId = :mailbox")
    int remove(UUID id, UUID mailbox);
}
