package app.jubek.server.trial;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface TrialRepository extends JpaRepository<TrialEntity, UUID> {
    @Query("select t from TrialEntity t where t.mailboxId = :mailbox order by t.madeAt, t.id")
    List<TrialEntity> of(UUID mailbox);

    Optional<TrialEntity> findByIdAndMailboxId(UUID id, UUID mailboxId);

    int countByMailboxId(UUID mailboxId);

    @Query("select distinct t.mailboxId from TrialEntity t")
    List<UUID> mailboxes();

    /** Changes whenever a trial is kept, changed or removed. */
    @Query("select new app.jubek.server.trial.Trials$Stamp(count(t), coalesce(sum(t.revision), 0L), max(t.madeAt))"
            + " from TrialEntity t where t.mailboxId = :mailbox")
    Trials.Stamp stamp(UUID mailbox);

    @Query("select t from TrialEntity t where t.mailboxId = :mailbox and array_contains(t.people, :address)"
            + " order by t.madeAt, t.id")
    List<TrialEntity> of(UUID mailbox, String address);

    @Modifying
    @Query("update TrialEntity t set t.heldWith = :version where t.id in :ids"
            + " and (t.heldWith is null or t.heldWith <> :version)")
    void held(Collection<UUID> ids, int version);
}
