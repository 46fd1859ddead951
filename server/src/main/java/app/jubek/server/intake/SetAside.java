package app.jubek.server.intake;

import app.jubek.core.message.ReadMessage;
import app.jubek.core.message.ReadingNote;
import app.jubek.core.plan.Failure;
import app.jubek.core.reading.MessageReading;
import app.jubek.core.reading.TraceFields;
import app.jubek.core.text.Limits;
import app.jubek.core.wording.Statement;
import app.jubek.server.content.MessageContent;
import app.jubek.server.mailbox.Fetched;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.platform.Border;
import app.jubek.server.platform.JubekProperties;
import app.jubek.server.platform.Refused;
import app.jubek.server.progress.FolderCursors;
import app.jubek.server.progress.Lease;
import java.io.ByteArrayInputStream;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** Messages that could not be taken in: kept and shown with the cause, and tried once more after a restart. */
@Component
class SetAside {
    private static final Logger LOG = LoggerFactory.getLogger(SetAside.class);
    private static final int AT_A_RESTART = 100;
    private static final int SHOWN = 50;

    private final MessageRepository messages;
    private final MessageContent bytes;
    private final Mailboxes mailboxes;
    private final FolderCursors cursors;
    private final TransactionTemplate transaction;
    private final JubekProperties properties;

    SetAside(
            MessageRepository messages,
            MessageContent bytes,
            Mailboxes mailboxes,
            FolderCursors cursors,
            TransactionTemplate transaction,
            JubekProperties properties) {
        this.properties = properties;
        this.messages = messages;
        this.bytes = bytes;
        this.mailboxes = mailboxes;
        this.cursors = cursors;
        this.transaction = transaction;
    }

    /** Keeps a message, and moves the cursor past it. Where its header can't be kept, its bytes alone are. */
    void store(UUID mailbox, Fetched fetched, Lease lease, Statement cause) {
        Optional<Border.Failure> failure =
                Border.around(() -> store(mailbox, fetched, lease, cause, MessageReading.outline(fetched.bytes())));
        if (failure.filter(Border.Failure::isTransient).isPresent()) {
            throw new IllegalStateException(
                    "a message can't be set aside just now", failure.get().cause());
        }
        if (failure.isPresent()) {
            LOG.warn(
                    "of a message that is set aside not even the header can be kept: {}",
                    failure.get().trace());
            store(mailbox, fetched, lease, cause, nothing());
        }
    }

    private static ReadMessage nothing() {
        return new MessageReading(Limits.standard()).read(new ByteArrayInputStream(new byte[0]));
    }

    private void store(UUID mailbox, Fetched fetched, Lease lease, Statement cause, ReadMessage header) {
        String digest = ReadMail.digest(fetched, header, TraceFields.digestBelow(fetched.bytes()));
        ReadMessage noted = header.withNote(ReadingNote.SET_ASIDE.with(cause));
        transaction.executeWithoutResult(status -> {
            mailboxes.lock(mailbox);
            if (cursors.advance(lease, fetched.place()) && fetched.place().isInbox()) {
                MessageEntity entity = new MessageEntity(mailbox, fetched, digest, MessageStatus.SET_ASIDE);
                MessageEntity saved =
                        messages.saveAndFlush(entity.read(noted, false).because(cause, !fetched.whole()));
                bytes.store(saved.id(), fetched.bytes());
                mailboxes.messageCame(mailbox, fetched.received());
            }
        });
    }

    /**
     * @throws Refused when there is not enough of it to decide
     */
    void checkWhole(MessageEntity message) {
        if (!isWhole(message)) {
            throw Refused.conflict(
                    message.size() > properties.largestMessage().toBytes()
                            ? "Only the header of this message was fetched, because it is too large. Deal with it in your"
                                    + " mail program."
                            : "The content of this message was cleared away for its age.",
                    Map.of());
        }
    }

    /** Whether all of it is kept. */
    boolean isWhole(MessageEntity message) {
        return message.size() <= properties.largestMessage().toBytes() && bytes.has(message.id());
    }

    /** Those that nobody has dealt with, the latest first. */
    List<MessageEntity> open(UUID mailbox) {
        return messages.setAside(mailbox, Limit.of(SHOWN));
    }

    /**
     * @throws Refused as not found
     */
    MessageEntity find(UUID mailbox, long id) {
        return messages.findByIdAndMailboxId(id, mailbox)
                .filter(message -> message.status() == MessageStatus.SET_ASIDE)
                .orElseThrow(Refused::notFound);
    }

    void close(UUID mailbox, long id) {
        messages.save(find(mailbox, id).doneAside());
    }

    /** Those that were not tried again yet, the latest first. */
    List<Long> untried(UUID mailbox) {
        return messages.untriedSetAside(mailbox, Limit.of(AT_A_RESTART));
    }

    /** Committed before it is tried, so that one that ends the process is not tried for ever. */
    void noteTried(long id) {
        transaction.executeWithoutResult(
                status -> messages.findById(id).ifPresent(message -> messages.save(message.tried())));
    }

    /** The attempt broke off for a reason that lies elsewhere. */
    void noteUntried(long id) {
        transaction.executeWithoutResult(
                status -> messages.findById(id).ifPresent(message -> messages.save(message.untried())));
    }

    void failedAgain(long id, Border.Failure why) {
        LOG.warn("message {} that was set aside can't be taken in now either: {}", id, why.trace());
        transaction.executeWithoutResult(status -> messages.findById(id)
                .ifPresent(message -> messages.save(message.because(Failure.ASIDE_BROKE.with(why.words()), true))));
    }
}
