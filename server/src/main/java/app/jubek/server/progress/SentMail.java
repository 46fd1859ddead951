package app.jubek.server.progress;

import app.jubek.server.mailbox.UidCommands;
import jakarta.mail.Folder;
import jakarta.mail.MessagingException;
import java.util.Collection;
import java.util.Map;
import java.util.UUID;
import org.eclipse.angus.mail.imap.IMAPFolder;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * The Message-IDs of what people sent from a mailbox, read from its folder of sent mail, so that an answer to them is known
 * as part of a conversation and left to people.
 */
@Component
public class SentMail {
    private final SentMessageRepository sent;
    private final TransactionTemplate transaction;

    SentMail(SentMessageRepository sent, TransactionTemplate transaction) {
        this.sent = sent;
        this.transaction = transaction;
    }

    @Transactional(readOnly = true)
    public boolean sentOneOf(UUID mailbox, Collection<String> messageIds) {
        return !messageIds.isEmpty() && sent.hasOneOf(mailbox, messageIds);
    }

    /** Reads what was sent since the last time. */
    public void read(UUID mailbox, IMAPFolder folder) throws MessagingException {
        if (!folder.exists()) {
            return;
        }
        folder.open(Folder.READ_ONLY);
        try {
            note(mailbox, folder.getUIDValidity(), new UidCommands(folder));
        } finally {
            folder.close(false);
        }
    }

    private void note(UUID mailbox, long validity, UidCommands commands) throws MessagingException {
        Map<Long, String> fresh = commands.messageIdsAbove(sent.lastUid(mailbox, validity));
        transaction.executeWithoutResult(
                status -> fresh.forEach((uid, messageId) -> sent.note(mailbox, validity, uid, messageId)));
    }
}
