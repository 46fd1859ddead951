package app.jubek.server.rulebook;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface RuleSwitchRepository extends JpaRepository<RuleSwitchEntity, RuleSwitchEntity.Key> {
    @Query("select s from RuleSwitchEntity s where s.key.mailboxId = :mailbox")
    List<RuleSwitchEntity> of(UUID mailbox);
}
