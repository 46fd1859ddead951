package app.jubek.server.intake;

import app.jubek.server.platform.SkipLocked;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface MessageRepository extends JpaRepository<MessageEntity, Long> {
    String UNTOUCHED = " and not exists (select 1 from StepEntity t where t.messageId = m.id)";

    Optional<MessageEntity> findFirstByMailboxIdAndDigestInOrderById(UUID mailboxId, Collection<String> digests);

    @Query("select m from MessageEntity m where m.mailboxId = :mailbox and m.digest in :digests")
    List<MessageEntity> withDigests(UUID mailbox, Collection<String> digests);

    @Query(
            "select m.id from MessageEntity m where m.mailboxId = :mailbox and m.status = :status and m.receivedAt >= :since")
    Set<Long> ofStatus(UUID mailbox, MessageStatus status, Instant since);

    Optional<MessageEntity> findByIdAndMailboxId(long id, UUID mailboxId);

    @Query("select m from MessageEntity m where m.mailboxId = :mailbox and m.id in :ids")
    List<MessageEntity> all(UUID mailbox, Collection<Long> ids);

    @Query(PastRow.SELECT + " and m.id > :after order by m.id")
    List<PastRow> after(UUID mailbox, long after, Limit limit);

    @Query(
            PastRow.SELECT
                    + " and m.id <= :last and (m.receivedAt < :before or m.receivedAt = :before and m.id < :beforeId) order by m.receivedAt desc, m.id desc")
    List<PastRow> before(UUID mailbox, long last, Instant before, long beforeId, Limit limit);

    @Query(
            "select count(m), coalesce(max(m.id), 0) from MessageEntity m where m.mailboxId = :mailbox and m.goneAt is null"
                    + " and m.status <> 'REAL_TEST'")
    List<Object[]> extent(UUID mailbox);

    @Query(
            "select m from MessageEntity m where m.mailboxId = :mailbox and m.formVersion < :form and m.goneAt is null order by m.id")
    List<MessageEntity> ofOlderForm(UUID mailbox, int form, Limit limit);

    @Query(
            "select count(m) from MessageEntity m where m.mailboxId = :mailbox and m.receivedAt > :since and m.status = 'DECIDED'")
    int countDecided(UUID mailbox, Instant since);

    @Query(
            "select m.id, m.receivedAt from MessageEntity m where m.mailboxId = :mailbox and m.receivedAt > :since and m.status = 'DECIDED'")
    List<Object[]> decided(UUID mailbox, Instant since);

    @Query("select m.id from MessageEntity m where m.mailboxId = :mailbox and m.status = 'SET_ASIDE'"
            + " and m.asideTried = false order by m.id desc")
    List<Long> untriedSetAside(UUID mailbox, Limit limit);

    @Query("select m from MessageEntity m where m.mailboxId = :mailbox and m.status = 'SET_ASIDE'"
            + " and m.asideDone = false order by m.id desc")
    List<MessageEntity> setAside(UUID mailbox, Limit limit);

    boolean existsByMailboxIdAndMessageId(UUID mailboxId, String messageId);

    @Query("select distinct m.locatedFolder from MessageEntity m where m.mailboxId = :mailbox and m.goneAt is null")
    List<String> folders(UUID mailbox);

    @Query(
            "select new app.jubek.server.intake.Whereabouts$Located("
                    + "m.id, m.messageId, m.size, m.locatedValidity, m.locatedUid) from MessageEntity m"
                    + " where m.mailboxId = :mailbox and m.locatedFolder = :folder and m.locatedUid < :next and m.goneAt is null")
    List<Whereabouts.Located> located(UUID mailbox, String folder, long next);

    @Query("select m.mailboxId from MessageEntity m where m.id = :id")
    Optional<UUID> mailbox(long id);

    @Modifying
    @Query("update MessageEntity m set m.locatedFolder = :folder, m.locatedValidity = :validity, m.locatedUid = :uid"
            + " where m.id = :id")
    void locate(long id, String folder, long validity, long uid);

    @Modifying
    @Query("delete from MessageEntity m where m.mailboxId = :mailbox and m.id in :ids and m.status = PAST" + UNTOUCHED)
    void forgetPast(UUID mailbox, Collection<Long> ids);

    @Modifying
    @Query("update MessageEntity m set m.goneAt = :now where m.mailboxId = :mailbox and m.id in :ids")
    void markGone(UUID mailbox, Collection<Long> ids, Instant now);

    /** Old mail of which something is left to clear away, and on which nothing waits to be done; locked. */
    @SkipLocked
    @Query("select m.id from MessageEntity m where m.mailboxId = :mailbox and m.receivedAt < :before"
            + " and (m.status = PAST" + UNTOUCHED
            + " or exists (select 1 from MessageContentPart c where c.key.owner = m.id))"
            + " and not exists (select 1 from StepEntity s where s.messageId = m.id"
            + " and s.state in (READY, SENDING, HELD))")
    List<Long> toBeCleared(UUID mailbox, Instant before, Limit limit);

    @Modifying
    @Query("update MessageEntity m set m.texts = array(), m.goneAt = coalesce(m.goneAt, :now) where m.id in :ids")
    void clear(Collection<Long> ids, Instant now);
}
