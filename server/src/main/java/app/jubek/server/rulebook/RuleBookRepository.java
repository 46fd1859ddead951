package app.jubek.server.rulebook;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface RuleBookRepository extends JpaRepository<RuleBookEntity, RuleBookEntity.Key> {
    @Query("select b from RuleBookEntity b where b.key.mailboxId = :mailbox order by b.key.version desc limit 1")
    Optional<RuleBookEntity> newest(UUID mailbox);

    @Query("select b from RuleBookEntity b where b.key.mailboxId = :mailbox order by b.key.version desc")
    List<RuleBookEntity> newestFirst(UUID mailbox, Limit limit);

    @Query("select b from RuleBookEntity b where b.key.mailboxId = :mailbox and b.savedAt >= :from"
            + " and b.savedAt < :until order by b.key.version desc")
    List<RuleBookEntity> saved(UUID mailbox, Instant from, Instant until, Limit limit);
}
