package app.jubek.server.intake;

import app.jubek.core.message.ReadMessage;
import app.jubek.core.message.ReadingNote;
import app.jubek.server.content.MessageContent;
import app.jubek.server.mailbox.Fetched;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.platform.CpuBudget;
import jakarta.persistence.EntityManager;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** Keeps past mail as evidence: nothing is decided about it, and nothing is done. */
@Component
class PastMailRecorder {
    private static final int AT_ONCE = 25;

    private final MessageRepository messages;
    private final MessageContent content;
    private final Deciding deciding;
    private final Mailboxes mailboxes;
    private final TransactionTemplate transaction;
    private final EntityManager entities;

    PastMailRecorder(
            MessageRepository messages,
            MessageContent content,
            Deciding deciding,
            Mailboxes mailboxes,
            TransactionTemplate transaction,
            EntityManager entities) {
        this.messages = messages;
        this.content = content;
        this.deciding = deciding;
        this.mailboxes = mailboxes;
        this.transaction = transaction;
        this.entities = entities;
    }

    /**
     * A batch of the first reading, some at a time, each in one transaction under the mailbox's lock: ids are committed in
     * their order, so that whoever reads on from the last id misses none, and new mail waits for a few messages only.
     */
    void record(UUID mailbox, List<Fetched> fetched) {
        List<ReadMail> all = fetched.stream()
                .map(one -> ReadMail.parse(one, CpuBudget.ofMessage()))
                .toList();
        for (int at = 0; at < all.size(); at += AT_ONCE) {
            List<ReadMail> some = all.subList(at, Math.min(at + AT_ONCE, all.size()));
            transaction.executeWithoutResult(status -> recordAll(mailbox, some));
        }
    }

    private void recordAll(UUID mailbox, List<ReadMail> mails) {
        mailboxes.lock(mailbox);
        Map<String, MessageEntity> known = knownByDigest(mailbox, mails);
        for (ReadMail mail : mails) {
            Optional<MessageEntity> same = mail.knownBy().stream()
                    .map(known::get)
                    .filter(Objects::nonNull)
                    .findFirst();
            if (same.isPresent()) {
                same.get().locate(mail.fetched().place());
            } else {
                record(mailbox, mail);
            }
        }
    }

    /** Inside the caller's transaction, which holds the mailbox's lock. */
    void record(UUID mailbox, ReadMail mail) {
        ReadMessage message =
                mail.fetched().whole() ? mail.message() : mail.message().withNote(ReadingNote.ONLY_HEADER_READ.with());
        MessageEntity entity = new MessageEntity(mailbox, mail.fetched(), mail.digest(), MessageStatus.PAST);
        MessageEntity saved = messages.saveAndFlush(entity.read(message, deciding.isConversation(mailbox, message)));
        // Each query looks through all entities in hand for changes, and a batch has hundreds.
        entities.detach(saved);
        content.store(saved.id(), mail.fetched().bytes());
    }

    private Map<String, MessageEntity> knownByDigest(UUID mailbox, List<ReadMail> mails) {
        List<String> digests = mails.stream()
                .flatMap(mail -> mail.knownBy().stream())
                .distinct()
                .toList();
        return messages.withDigests(mailbox, digests).stream()
                .collect(Collectors.toMap(MessageEntity::digest, m -> m, (first, again) -> first));
    }
}
