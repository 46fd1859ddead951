package app.jubek.server.mailbox;

import app.jubek.core.plan.Advice;
import jakarta.persistence.LockModeType;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface MailboxRepository extends JpaRepository<MailboxEntity, UUID> {
    Optional<MailboxEntity> findByAddress(String address);

    List<MailboxEntity> findAllByOrderByPositionAscAddressAsc();

    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select m.id from MailboxEntity m where m.id = :id")
    Optional<UUID> lock(UUID id);

    @Modifying
    @Query("update MailboxEntity m set m.evidenceEpoch = m.evidenceEpoch + 1 where m.id = :id")
    void evidenceChanged(UUID id);

    @Query("select m.evidenceEpoch from MailboxEntity m where m.id = :id")
    long evidenceEpoch(UUID id);

    @Modifying
    @Query("update MailboxEntity m set m.watching = :watching, m.troubleCause = :cause, m.troubleAdvice = :advice,"
            + " m.lastContact = coalesce(:heard, m.lastContact) where m.id = :id")
    void report(UUID id, String watching, @Nullable String cause, @Nullable Advice advice, @Nullable Instant heard);

    @Modifying
    @Query("update MailboxEntity m set m.lastMessageAt = greatest(:at, m.lastMessageAt) where m.id = :id")
    void messageCame(UUID id, Instant at);
}
