package app.jubek.server.agreement;

import app.jubek.core.people.Agreement;
import app.jubek.core.step.StepState;
import app.jubek.server.platform.SkipLocked;
import jakarta.persistence.LockModeType;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface AgreementRepository extends JpaRepository<AgreementEntity, UUID> {
    /** Of a step: it waits for what its recipient says. */
    String WAITING = " where s.state = HELD and s.reason in ('OUTSIDE', 'DESTINATION_DECLINED') ";

    /** Two rules may name an address at the same moment; it is asked or told once. */
    @Modifying
    @Query("insert into AgreementEntity (id, mailboxId, address, addressKey, state, stateSince, askedBy, requestDueAt,"
            + " requests, wrongCodes, stopDue)"
            + " values (:id, :mailbox, :address, :key, :state, :now, :who, :due, 0, 0, false)"
            + " on conflict (mailboxId, addressKey) do nothing")
    int begin(UUID id, UUID mailbox, String address, String key, Agreement state, Instant now, Instant due, String who);

    @Query("select a from AgreementEntity a where a.mailboxId = :mailbox and a.addressKey = :key")
    Optional<AgreementEntity> of(UUID mailbox, String key);

    /** How the latest messages that were handed on to an address ended, the newest first. */
    @Query("select s.state from StepEntity s where s.mailboxId = :mailbox and lower(s.recipient) = :key"
            + " and s.kind in (FORWARD, REDIRECT, ANSWER_COPY) and s.state in (SENT, FAILED) and s.settledAt > :since"
            + " order by s.settledAt desc, s.id")
    List<StepState> latestTo(UUID mailbox, String key, Instant since, Limit limit);

    @Query("select a from AgreementEntity a where a.mailboxId = :mailbox order by a.addressKey")
    List<AgreementEntity> of(UUID mailbox);

    Optional<AgreementEntity> findByIdAndMailboxId(UUID id, UUID mailbox);

    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select a from AgreementEntity a where a.id = :id")
    Optional<AgreementEntity> toChange(UUID id);

    @SkipLocked
    @Query("select a.id from AgreementEntity a where a.requestDueAt <= :now"
            + " and not exists (select 1 from StopEntity s where s.mailbox = a.mailboxId)"
            + " order by a.requestDueAt limit 1")
    Optional<UUID> nextToAsk(Instant now);

    @Query("select a.id from AgreementEntity a where a.state in :given and a.endsAt <= :now")
    List<UUID> ended(Collection<Agreement> given, Instant now);

    /** A mailbox, and an address that steps of it wait for. */
    @Query("select distinct s.mailboxId, s.recipient from StepEntity s" + WAITING)
    List<Object[]> heldFor();

    /** Addresses as they are compared, and how many steps wait for each. */
    @Query("select lower(s.recipient), count(s) from StepEntity s" + WAITING
            + "and s.mailboxId = :mailbox group by lower(s.recipient)")
    List<Object[]> waiting(UUID mailbox);

    @Modifying
    @Query("update StepEntity s set s.state = READY, s.reason = null, s.reasonArguments = null, s.dueAt = instant"
            + WAITING + "and s.mailboxId = :mailbox and s.recipient = :recipient and exists"
            + " (select 1 from MessageEntity m where m.id = s.messageId and m.receivedAt >= :inTime)")
    int release(UUID mailbox, String recipient, Instant inTime);

    /** What is not released. */
    @Modifying
    @Query("update StepEntity s set s.reason = 'OVER_LATE', s.reasonArguments = '[]'" + WAITING
            + "and s.mailboxId = :mailbox and s.recipient = :recipient")
    int keepLate(UUID mailbox, String recipient);

    @Modifying
    @Query("update StepEntity s set s.reason = 'DESTINATION_DECLINED'"
            + " where s.state = HELD and s.reason = 'OUTSIDE' and s.mailboxId = :mailbox and s.recipient = :recipient")
    int declined(UUID mailbox, String recipient);
}
