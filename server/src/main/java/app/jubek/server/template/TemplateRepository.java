package app.jubek.server.template;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface TemplateRepository extends JpaRepository<TemplateEntity, TemplateEntity.Key> {
    /** The newest version of each. */
    @Query("select t from TemplateEntity t where t.key.mailboxId = :mailbox and t.key.version ="
            + " (select max(o.key.version) from TemplateEntity o where o.key.mailboxId = :mailbox and o.key.id = t.key.id)"
            + " order by lower(t.name), t.key.id")
    List<TemplateEntity> newest(UUID mailbox);

    @Query("select t from TemplateEntity t where t.key.mailboxId = :mailbox and t.savedAt >= :from"
            + " and t.savedAt < :until order by t.savedAt desc limit 100")
    List<TemplateEntity> saved(UUID mailbox, Instant from, Instant until);

    @Query("select t from TemplateEntity t where t.key.mailboxId = :mailbox and t.key.id = :id"
            + " order by t.key.version desc")
    List<TemplateEntity> versions(UUID mailbox, String id);
}
