package app.jubek.server.intake;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface MessageRepository extends JpaRepository<MessageEntity, Long> {
    Optional<MessageEntity> findFirstByMailboxIdAndDigestOrderById(UUID mailboxId, String digest);

    @Query("select m from MessageEntity m where m.mailboxId = :mailbox and m.digest in :digests")
    List<MessageEntity> withDigests(UUID mailbox, Collection<String> digests);

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
            "select count(m), coalesce(max(m.id), 0) from MessageEntity m where m.mailboxId = :mailbox and m.goneAt is null")
    List<Object[]> extent(UUID mailbox);

    @Query(
            "select m from MessageEntity m where m.mailboxId = :mailbox and m.formVersion < :form and m.goneAt is null order by m.id")
    List<MessageEntity> ofOlderForm(UUID mailbox, int form, Limit limit);

    @Query(
            "select count(m) from MessageEntity m where m.mailboxId = :mailbox and m.receivedAt > :since and m.standing = 'DECIDED'")
    int countDecided(UUID mailbox, Instant since);

    @Query("select m.id from MessageEntity m where m.mailboxId = :mailbox and m.standing = 'SET_ASIDE'"
            + " and m.asideTried = false order by m.id desc")
    List<Long> untriedSetAside(UUID mailbox, Limit limit);

    @Query("select m from MessageEntity m where m.mailboxId = :mailbox and m.standing = 'SET_ASIDE'"
            + " and m.asideDone = false order by m.id desc")
    List<MessageEntity> setAside(UUID mailbox, Limit limit);

    @Query("select count(m) from MessageEntity m where m.mailboxId = :mailbox and m.messageId = :messageId")
    int countByMessageId(UUID mailbox, String messageId);
}
