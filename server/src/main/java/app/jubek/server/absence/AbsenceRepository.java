package app.jubek.server.absence;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface AbsenceRepository extends JpaRepository<AbsenceEntity, UUID> {
    @Query("select a from AbsenceEntity a where a.mailboxId = :mailbox and a.removed = false and a.lastDay >= :since"
            + " order by a.firstDay, a.id")
    List<AbsenceEntity> of(UUID mailbox, LocalDate since);

    @Query("select a from AbsenceEntity a where a.id = :id and a.mailboxId = :mailbox and a.removed = false")
    Optional<AbsenceEntity> find(UUID mailbox, UUID id);

    @Query("select a from AbsenceEntity a where a.token = :digest and a.removed = false")
    Optional<AbsenceEntity> asked(String digest);

    /** Of the same; to be locked before it is read. */
    @Query("select a.mailboxId from AbsenceEntity a where a.token = :digest and a.removed = false")
    Optional<UUID> mailboxOfAsked(String digest);

    /** Those whose substitute is to be told something; none while outgoing mail is stopped. */
    @Query("select a from AbsenceEntity a where a.mailboxId = :mailbox and a.note is not null"
            + " and (a.noteAfter is null or a.noteAfter <= :now)"
            + " and not exists (select 1 from StopEntity s where s.mailbox = a.mailboxId)")
    List<AbsenceEntity> untold(UUID mailbox, Instant now);

    @Query("select a from AbsenceEntity a where a.mailboxId = :mailbox and a.removed = false and a.summedUp = false"
            + " and a.lastDay < :today and not exists (select 1 from StopEntity s where s.mailbox = a.mailboxId)")
    List<AbsenceEntity> over(UUID mailbox, LocalDate today);

    /** What waited for the substitute's yes leaves. */
    @Modifying
    @Query("update StepEntity s set s.state = READY, s.reason = null, s.reasonArguments = null, s.dueAt = instant"
            + " where s.state = HELD and s.reason = 'SUBSTITUTE_NOT_AGREED' and s.mailboxId = :mailbox"
            + " and s.ruleId = :rule and lower(s.recipient) = :substitute")
    int release(UUID mailbox, String rule, String substitute);
}
