package app.jubek.server.progress;

import java.util.Collection;
import java.util.UUID;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface SentMessageRepository extends Repository<SentMessageEntity, SentMessageEntity.Key> {
    @Query("select count(s) > 0 from SentMessageEntity s where s.key.mailboxId = :mailbox and s.messageId in :ids")
    boolean hasOneOf(UUID mailbox, Collection<String> ids);

    @Query("select coalesce(max(s.key.uid), 0L) from SentMessageEntity s"
            + " where s.key.mailboxId = :mailbox and s.key.uidValidity = :validity")
    long lastUid(UUID mailbox, long validity);

    @Modifying
    @Query("insert into SentMessageEntity (key.mailboxId, key.uidValidity, key.uid, messageId)"
            + " values (:mailbox, :validity, :uid, :messageId) on conflict do nothing")
    void note(UUID mailbox, long validity, long uid, String messageId);
}
