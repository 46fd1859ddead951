package app.jubek.server.progress;

import app.jubek.server.mailbox.UidCommands;
import jakarta.mail.Folder;
import jakarta.mail.MessagingException;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Consumer;
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
    private static final int AT_ONCE = 200;

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

    /**
     * Reads what was sent since the last time.
     *
     * @param answered gets the Message-IDs to which messages refer that people sent, inside the transaction that notes them
     */
    public void read(UUID mailbox, IMAPFolder folder, Consumer<List<String>> answered) throws MessagingException {
        if (!folder.exists()) {
            return;
        }
        folder.open(Folder.READ_ONLY);
        try {
            note(mailbox, folder.getUIDValidity(), new UidCommands(folder), answered);
        } finally {
            folder.close(false);
        }
    }

    private void note(UUID mailbox, long validity, UidCommands commands, Consumer<List<String>> answered)
            throws MessagingException {
        List<Long> fresh = commands.above(sent.lastUid(mailbox, validity));
        for (int from = 0; from < fresh.size(); from += AT_ONCE) {
            List<Long> some = fresh.subList(from, Math.min(from + AT_ONCE, fresh.size()));
            Map<Long, SentHeader> headers = SentHeader.of(some, commands);
            transaction.executeWithoutResult(status -> {
                headers.forEach((uid, header) -> sent.note(mailbox, validity, uid, header.messageId()));
                answered.accept(headers.values().stream()
                        .filter(header -> !header.automatic())
                        .flatMap(header -> header.references().stream())
                        .distinct()
                        .toList());
            });
        }
    }
}
