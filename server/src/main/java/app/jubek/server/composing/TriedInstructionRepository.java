package app.jubek.server.composing;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.transaction.annotation.Transactional;

interface TriedInstructionRepository extends JpaRepository<TriedInstructionEntity, TriedInstructionEntity.Key> {
    @Transactional
    @Modifying
    @Query("insert into TriedInstructionEntity (key.mailboxId, key.fingerprint) values (:mailbox, :fingerprint)"
            + " on conflict (key.mailboxId, key.fingerprint) do nothing")
    void keep(UUID mailbox, String fingerprint);
}
