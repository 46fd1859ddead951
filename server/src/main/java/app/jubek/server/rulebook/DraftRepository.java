package app.jubek.server.rulebook;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.transaction.annotation.Transactional;

interface DraftRepository extends JpaRepository<DraftEntity, DraftEntity.Key> {
    @Query("select d from DraftEntity d where d.key.accountId = :account and d.key.mailboxId = :mailbox"
            + " order by d.savedAt desc")
    List<DraftEntity> latest(UUID account, UUID mailbox, Limit limit);

    /** Two pages may save one draft at the same moment; the last one stays. */
    @Transactional
    @Modifying
    @Query("insert into DraftEntity (key.accountId, key.mailboxId, key.ruleId, document, savedAt)"
            + " values (:account, :mailbox, :rule, :document, :at)"
            + " on conflict (key.accountId, key.mailboxId, key.ruleId)"
            + " do update set document = excluded.document, savedAt = excluded.savedAt")
    void keep(UUID account, UUID mailbox, String rule, String document, Instant at);

    @Transactional
    @Modifying
    @Query("delete from DraftEntity d"
            + " where d.key.accountId = :account and d.key.mailboxId = :mailbox and d.key.ruleId = :rule")
    void drop(UUID account, UUID mailbox, String rule);
}
