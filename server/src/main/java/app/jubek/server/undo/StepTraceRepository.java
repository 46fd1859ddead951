package app.jubek.server.undo;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface StepTraceRepository extends JpaRepository<StepTraceEntity, UUID> {
    Optional<StepTraceEntity> findByUndoneBy(UUID undo);

    String DONE = "select new app.jubek.server.undo.DoneStep(s.id, s.messageId, s.kind, s.state, m.subject,"
            + " t.afterFolder, t.afterValidity, t.afterUid, case when t.step is null then false else true end,"
            + " case when exists (select 1 from StepEntity u where u.id = t.undoneBy and u.state in (READY, SENDING))"
            + " then true else false end)"
            + " from StepEntity s join MessageEntity m on m.id = s.messageId"
            + " left join StepTraceEntity t on t.step = s.id where s.mailboxId = :mailbox and s.kind <> UNDO ";

    @Query(DONE + "and s.id in :ids order by s.plannedAt desc, s.id")
    List<DoneStep> steps(UUID mailbox, Collection<UUID> ids);

    /** What a rule did from an instant until before another one. */
    @Query(DONE + "and s.ruleId = :rule and s.state in (SENT, UNDONE) and s.settledAt >= :from and s.settledAt < :until"
            + " order by s.plannedAt desc, s.id")
    List<DoneStep> ofRule(UUID mailbox, String rule, Instant from, Instant until, Limit limit);

    @Query(DONE + "and exists (select 1 from CatchUpStepEntity c where c.step = s.id and c.catchUp = :catchUp)"
            + " order by s.plannedAt desc, s.id")
    List<DoneStep> ofCatchUp(UUID mailbox, UUID catchUp, Limit limit);
}
