package app.jubek.server.replyhistory;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface ReplyHistoryRepository extends Repository<ReplyHistoryEntity, ReplyHistoryEntity.Key> {
    /** All lines of the answers that went to one of the senders. */
    @Query(
            "select h from ReplyHistoryEntity h where h.key.stepId in"
                    + " (select s.key.stepId from ReplyHistoryEntity s where s.mailboxId = :mailbox and s.key.sender in :senders)")
    List<ReplyHistoryEntity> answersTo(UUID mailbox, Collection<String> senders);

    @Modifying
    @Query("delete from ReplyHistoryEntity h where h.key.stepId = :step")
    void forget(UUID step);
}
