package app.jubek.server.delivery;

import app.jubek.core.step.Step;
import app.jubek.server.mailbox.Fetched;
import app.jubek.server.mailbox.ImapConnections;
import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.mailbox.UidCommands;
import jakarta.mail.Folder;
import jakarta.mail.MessagingException;
import java.util.Optional;
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
            for (Step.Flag flag : mark.flags()) {
                flag(store, mail.find(message), flag, true);
            }
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
            flag(store, now, Step.Flag.SEEN, false);
            flag(store, now, Step.Flag.FLAGGED, true);
        }
    }

    private static void flag(IMAPStore store, StoredMail.Stored stored, Step.Flag flag, boolean on)
            throws MessagingException {
        try (OpenFolder open = OpenFolder.of(store, stored.place().folder())) {
            open.commands().flag(open.find(stored).orElseThrow(Gone::new), flag.imap(), on);
        }
    }

    private void move(IMAPStore store, StoredMail.Stored stored, String target) throws MessagingException {
        if (stored.place().folder().equals(target)) {
            return;
        }
        Folder into = store.getFolder(target);
        if (!into.exists() && !into.create(Folder.HOLDS_MESSAGES)) {
            throw new MessagingException("the folder \"" + target + "\" can't be made");
        }
        try (OpenFolder source = OpenFolder.of(store, stored.place().folder())) {
            Optional<Long> uid = source.find(stored);
            Optional<Fetched.Place> place = Optional.empty();
            if (uid.isPresent()) {
                place = moved(store, source.commands(), uid.get(), target);
            }
            mail.moved(stored.id(), place.isPresent() ? place.get() : foundIn(store, stored, target));
        }
    }

    private static Optional<Fetched.Place> moved(IMAPStore store, UidCommands source, long uid, String target)
            throws MessagingException {
        if (store.hasCapability("MOVE")) {
            return source.move(uid, target);
        }
        if (!store.hasCapability("UIDPLUS")) {
            throw new MessagingException(
                    "the mail server can neither move nor expunge a single message, so nothing was moved");
        }
        return source.copyAndRemove(uid, target);
    }

    /** Where an earlier attempt, or a server that does not say, has put it. */
    private static Fetched.Place foundIn(IMAPStore store, StoredMail.Stored stored, String target)
            throws MessagingException {
        try (OpenFolder open = OpenFolder.of(store, target)) {
            long uid = open.byMessageId(stored).orElseThrow(Gone::new);
            return new Fetched.Place(target, open.folder().getUIDValidity(), uid);
        }
    }

    /** A folder that is closed without expunging: a bare EXPUNGE would remove what others marked as deleted. */
    private record OpenFolder(IMAPFolder folder, UidCommands commands) implements AutoCloseable {
        static OpenFolder of(IMAPStore store, String name) throws MessagingException {
            IMAPFolder folder = (IMAPFolder) store.getFolder(name);
            if (!folder.exists()) {
                throw new Gone();
            }
            folder.open(Folder.READ_WRITE);
            return new OpenFolder(folder, new UidCommands(folder));
        }

        Optional<Long> find(StoredMail.Stored stored) throws MessagingException {
            if (folder.getUIDValidity() != stored.place().uidValidity()) {
                return byMessageId(stored);
            }
            long uid = stored.place().uid();
            return commands.exists(uid) ? Optional.of(uid) : Optional.empty();
        }

        Optional<Long> byMessageId(StoredMail.Stored stored) throws MessagingException {
            if (stored.messageId().isEmpty()) {
                return Optional.empty();
            }
            return commands.withMessageId(stored.messageId().get()).stream().max(Long::compare);
        }

        @Override
        public void close() throws MessagingException {
            folder.close(false);
        }
    }
}
