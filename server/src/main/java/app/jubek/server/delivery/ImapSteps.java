package app.jubek.server.delivery;

import app.jubek.core.step.Step;
import app.jubek.server.mailbox.Fetched;
import app.jubek.server.mailbox.ImapConnections;
import app.jubek.server.mailbox.Mailbox;
import jakarta.mail.Flags;
import jakarta.mail.Folder;
import jakarta.mail.Message;
import jakarta.mail.MessagingException;
import jakarta.mail.search.MessageIDTerm;
import java.util.Optional;
import org.eclipse.angus.mail.imap.AppendUID;
import org.eclipse.angus.mail.imap.IMAPFolder;
import org.eclipse.angus.mail.imap.IMAPStore;
import org.springframework.stereotype.Component;

/** Steps inside the mailbox. Each looks first whether it was done before, so that repeating it does no harm. */
@Component
class ImapSteps {
    private static final String INBOX = "INBOX";

    private final ImapConnections connections;
    private final StoredMail mail;

    ImapSteps(ImapConnections connections, StoredMail mail) {
        this.connections = connections;
        this.mail = mail;
    }

    /** The message is in no folder where it may be expected. */
    static final class Gone extends MessagingException {
        private static final long serialVersionUID = 1L;

        Gone() {
            super("the message is no longer where it was: somebody moved or deleted it");
        }
    }

    void mark(Mailbox mailbox, long message, Step.Mark mark) throws MessagingException {
        try (IMAPStore store = connections.open(mailbox)) {
            Flags flags = new Flags();
            mark.flags().forEach(f -> flags.add(f == Step.Flag.SEEN ? Flags.Flag.SEEN : Flags.Flag.FLAGGED));
            setFlags(store, mail.find(message), flags, true);
        }
    }

    void file(Mailbox mailbox, long message, Step.File file) throws MessagingException {
        try (IMAPStore store = connections.open(mailbox)) {
            move(store, mail.find(message), file.folder());
        }
    }

    /** After a hand-over that failed for good: back in sight, unread and flagged. */
    void bringBack(Mailbox mailbox, long message) throws MessagingException {
        try (IMAPStore store = connections.open(mailbox)) {
            move(store, mail.find(message), INBOX);
            StoredMail.Stored now = mail.find(message);
            setFlags(store, now, new Flags(Flags.Flag.SEEN), false);
            setFlags(store, now, new Flags(Flags.Flag.FLAGGED), true);
        }
    }

    private void setFlags(IMAPStore store, StoredMail.Stored stored, Flags flags, boolean on)
            throws MessagingException {
        try (OpenFolder open = OpenFolder.of(store, stored.place().folder())) {
            IMAPFolder folder = open.folder();
            Message message = find(folder, stored).orElseThrow(Gone::new);
            message.setFlags(flags, on);
        }
    }

    private void move(IMAPStore store, StoredMail.Stored stored, String targetName) throws MessagingException {
        if (stored.place().folder().equals(targetName)) {
            return;
        }
        IMAPFolder target = (IMAPFolder) store.getFolder(targetName);
        if (!target.exists() && !target.create(Folder.HOLDS_MESSAGES)) {
            throw new MessagingException("the folder \"" + targetName + "\" can't be made");
        }
        try (OpenFolder open = OpenFolder.of(store, stored.place().folder())) {
            IMAPFolder source = open.folder();
            Optional<Message> message = find(source, stored);
            if (message.isEmpty()) {
                noteIfMovedBefore(store, stored, targetName);
                return;
            }
            AppendUID[] moved = moved(store, source, target, message.get());
            if (moved != null && moved.length == 1 && moved[0] != null) {
                mail.moved(stored.id(), new Fetched.Place(targetName, moved[0].uidvalidity, moved[0].uid));
            } else {
                noteIfMovedBefore(store, stored, targetName);
            }
        }
    }

    private static AppendUID[] moved(IMAPStore store, IMAPFolder source, IMAPFolder target, Message message)
            throws MessagingException {
        Message[] one = {message};
        if (store.hasCapability("MOVE")) {
            return source.moveUIDMessages(one, target);
        }
        if (!store.hasCapability("UIDPLUS")) {
            throw new MessagingException(
                    "the mail server can neither move nor expunge a single message, so nothing was moved");
        }
        AppendUID[] copied = source.copyUIDMessages(one, target);
        message.setFlag(Flags.Flag.DELETED, true);
        source.expunge(one);
        return copied;
    }

    private void noteIfMovedBefore(IMAPStore store, StoredMail.Stored stored, String targetName)
            throws MessagingException {
        try (OpenFolder open = OpenFolder.of(store, targetName)) {
            IMAPFolder target = open.folder();
            Message there = byMessageId(target, stored).orElseThrow(Gone::new);
            mail.moved(stored.id(), new Fetched.Place(targetName, target.getUIDValidity(), target.getUID(there)));
        }
    }

    private static Optional<Message> find(IMAPFolder folder, StoredMail.Stored stored) throws MessagingException {
        boolean sameNumbers = folder.getUIDValidity() == stored.place().uidValidity();
        Optional<Message> byUid = sameNumbers
                ? Optional.ofNullable(folder.getMessageByUID(stored.place().uid()))
                : Optional.empty();
        return byUid.isPresent() || sameNumbers ? byUid : byMessageId(folder, stored);
    }

    private static Optional<Message> byMessageId(IMAPFolder folder, StoredMail.Stored stored)
            throws MessagingException {
        if (stored.messageId().isEmpty()) {
            return Optional.empty();
        }
        Message[] found = folder.search(new MessageIDTerm(stored.messageId().get()));
        return found.length == 0 ? Optional.empty() : Optional.of(found[found.length - 1]);
    }

    /** A folder that is closed without expunging: a bare EXPUNGE would remove what others marked as deleted. */
    private record OpenFolder(IMAPFolder folder) implements AutoCloseable {
        static OpenFolder of(IMAPStore store, String name) throws MessagingException {
            IMAPFolder folder = (IMAPFolder) store.getFolder(name);
            if (!folder.exists()) {
                throw new Gone();
            }
            folder.open(Folder.READ_WRITE);
            return new OpenFolder(folder);
        }

        @Override
        public void close() throws MessagingException {
            folder.close(false);
        }
    }
}
