package app.jubek.server.rehearsal;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.transaction.annotation.Transactional;

interface OpenRehearsalRepository extends JpaRepository<OpenRehearsalEntity, UUID> {
    @Query("select r from OpenRehearsalEntity r where r.mailboxId = :mailbox order by r.begunAt desc, r.id")
    List<OpenRehearsalEntity> of(UUID mailbox);

    Optional<OpenRehearsalEntity> findByIdAndMailboxId(UUID id, UUID mailboxId);

    @Transactional
    @Modifying
    @Query("update OpenRehearsalEntity r set r.state = :state where r.id = :id")
    int came(UUID id, Rehearsals.State state);

    @Transactional
    @Modifying
    @Query("delete from OpenRehearsalEntity r where r.id = :id")
    int close(UUID id);
}
