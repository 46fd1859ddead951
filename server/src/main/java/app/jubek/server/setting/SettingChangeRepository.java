package app.jubek.server.setting;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface SettingChangeRepository extends JpaRepository<SettingChangeEntity, UUID> {
    @Query("select c from SettingChangeEntity c where c.mailboxId = :mailbox and c.at >= :from and c.at < :until"
            + " order by c.at desc, c.id")
    List<SettingChangeEntity> between(UUID mailbox, Instant from, Instant until, Limit limit);
}
