package app.jubek.server.mailbox;

import jakarta.mail.Folder;
import jakarta.mail.MessagingException;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.eclipse.angus.mail.imap.IMAPFolder;
import org.eclipse.angus.mail.imap.IMAPStore;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * The Message-IDs of what people sent from a mailbox, read from its folder of sent mail, so that an answer to them is known
 * as part of a conversation and left to people.
 */
@Component
public class SentMail {
    private static final Set<String> NAMES = Set.of("sent", "sent items", "sent messages", "sent mail");

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

    /** The folder of sent mail: by its special use (RFC 6154), else by a usual name. */
    Optional<IMAPFolder> find(IMAPStore store) throws MessagingException {
        List<IMAPFolder> all = Arrays.stream(store.getDefaultFolder().list("*"))
                .map(IMAPFolder.class::cast)
                .toList();
        Optional<IMAPFolder> found = Optional.empty();
        for (IMAPFolder folder : all) {
            if (Arrays.asList(folder.getAttributes()).contains("\\Sent")) {
                found = Optional.of(folder);
            }
        }
        if (found.isEmpty()) {
            found = all.stream()
                    .filter(f -> NAMES.contains(f.getName().toLowerCase(java.util.Locale.ROOT)))
                    .findFirst();
        }
        return found;
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
