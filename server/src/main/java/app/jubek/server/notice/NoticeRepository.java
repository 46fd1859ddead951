package app.jubek.server.notice;

import java.util.List;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface NoticeRepository extends JpaRepository<NoticeEntity, Long> {
    @Query("select n from NoticeEntity n where n.mailboxId = :mailbox and n.id > :after order by n.id desc")
    List<NoticeEntity> newestAfter(UUID mailbox, long after, Limit limit);

    @Query("select coalesce(max(n.id), 0) from NoticeEntity n where n.mailboxId = :mailbox")
    long last(UUID mailbox);
}
