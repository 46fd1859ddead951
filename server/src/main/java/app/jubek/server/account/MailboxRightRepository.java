package app.jubek.server.account;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface MailboxRightRepository extends JpaRepository<MailboxRightEntity, MailboxRightEntity.Key> {
    @Query("select r.key.mailboxId from MailboxRightEntity r where r.key.accountId = :account order by r.key.mailboxId")
    List<UUID> mailboxes(UUID account);
}
