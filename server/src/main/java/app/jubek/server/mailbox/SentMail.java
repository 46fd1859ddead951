package app.jubek.server.mailbox;

import jakarta.mail.Folder;
import jakarta.mail.MessagingException;
import java.util.Collection;
import java.util.Map;
import java.util.UUID;
import org.eclipse.angus.mail.imap.IMAPFolder;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * The Message-IDs of what people sent from a mailbox, read from its folder of sent mail, so that an answer to them is known
 * as part of a conversation and left to people.
 */
@Component
public class SentMail {
    private final JdbcClient jdbc;

    SentMail(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    @Transactional(readOnly = true)
    public boolean sentOneOf(UUID mailbox, Collection<String> messageIds) {
        return !messageIds.isEmpty()
                && jdbc.sql(
                                "select exists (select 1 from sent_message where mailbox_id = :mailbox and message_id in (:ids))")
                        .params(Map.of("mailbox", mailbox, "ids", messageIds))
                        .query(Boolean.class)
                        .single();
    }

    /** Reads what was sent since the last time. */
    void read(UUID mailbox, IMAPFolder sent) throws MessagingException {
        if (!sent.exists()) {
            return;
        }
        sent.open(Folder.READ_ONLY);
        try {
            note(mailbox, sent.getUIDValidity(), new UidCommands(sent));
        } finally {
            sent.close(false);
        }
    }

    private void note(UUID mailbox, long validity, UidCommands commands) throws MessagingException {
        Map<Long, String> fresh = commands.messageIdsAbove(lastUid(mailbox, validity));
        fresh.forEach((uid, messageId) -> jdbc.sql(
                        "insert into sent_message (mailbox_id, uid_validity, uid, message_id) values (?, ?, ?, ?)"
                                + " on conflict do nothing")
                .params(mailbox, validity, uid, messageId)
                .update());
    }

    private long lastUid(UUID mailbox, long validity) {
        return jdbc.sql("select coalesce(max(uid), 0) from sent_message where mailbox_id = ? and uid_validity = ?")
                .params(mailbox, validity)
                .query(Long.class)
                .single();
    }
}
