package app.jubek.server.template;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface DocumentRepository extends JpaRepository<DocumentEntity, UUID> {
    @Query("select d from DocumentEntity d where d.mailboxId = :mailbox order by lower(d.fileName), d.id")
    List<DocumentEntity> byFileName(UUID mailbox);

    Optional<DocumentEntity> findByIdAndMailboxId(UUID id, UUID mailboxId);

    /** The database clears away what is in it. */
    @Modifying
    @Query("delete from DocumentEntity d where d.id = :id and d.mailboxId = :mailbox")
    void deleteByIdAndMailboxId(UUID id, UUID mailbox);
}
