package app.jubek.server.watching;

import app.jubek.server.mailbox.ImapConnections;
import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.mailbox.UidCommands;
import app.jubek.server.platform.Border;
import app.jubek.server.platform.JubekProperties;
import app.jubek.server.progress.FolderCursors;
import jakarta.mail.Folder;
import jakarta.mail.MessagingException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.eclipse.angus.mail.imap.IMAPFolder;
import org.eclipse.angus.mail.imap.IMAPStore;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/** Reads the past mail of folders beside the inbox as evidence, where a person wants rules carried out on it. */
@Component
public class FolderReading {
    private static final Logger LOG = LoggerFactory.getLogger(FolderReading.class);
    private static final int CHUNK = 250;

    private final ImapConnections connections;
    private final FolderCursors cursors;
    private final Arrivals arrivals;
    private final JubekProperties properties;

    FolderReading(ImapConnections connections, FolderCursors cursors, Arrivals arrivals, JubekProperties properties) {
        this.connections = connections;
        this.cursors = cursors;
        this.arrivals = arrivals;
        this.properties = properties;
    }

    /** Follows a reading, and knows what was read before. */
    public interface Reader {
        /** The UIDs that are known of a folder. */
        Set<Long> known(String folder, long uidValidity);

        /**
         * @param of how many messages are to be read
         */
        void reads(int done, int of);
    }

    /** Whether the inbox was read, as it is when a mailbox is connected. */
    public boolean isInboxRead(UUID mailbox) {
        return cursors.reading(mailbox, Watcher.INBOX)
                .filter(FolderCursors.Reading::finished)
                .isPresent();
    }

    /**
     * Reads what is not known of some folders; the inbox is left to the first reading.
     *
     * @param folders by the names that the mail server gives them
     */
    public void read(Mailbox mailbox, List<String> folders, LocalDate since, Reader reader) throws MessagingException {
        try (IMAPStore store = connections.openForFirstReading(mailbox)) {
            List<Unread> all = new ArrayList<>();
            for (String name : folders) {
                if (!Watcher.INBOX.equalsIgnoreCase(name)) {
                    all.add(unread((IMAPFolder) store.getFolder(name), since, reader));
                }
            }
            int of = all.stream().mapToInt(one -> one.uids().size()).sum();
            int done = 0;
            reader.reads(0, of);
            for (Unread one : all) {
                done = read(mailbox, one, reader, done, of);
            }
        }
    }

    private record Unread(IMAPFolder folder, List<Long> uids) {}

    private static Unread unread(IMAPFolder folder, LocalDate since, Reader reader) throws MessagingException {
        if (!folder.exists()) {
            return new Unread(folder, List.of());
        }
        folder.open(Folder.READ_ONLY);
        try {
            List<Long> uids = new ArrayList<>(new UidCommands(folder).since(since));
            uids.removeAll(reader.known(folder.getFullName(), folder.getUIDValidity()));
            uids.sort(Comparator.reverseOrder());
            return new Unread(folder, uids);
        } finally {
            folder.close(false);
        }
    }

    private int read(Mailbox mailbox, Unread unread, Reader reader, int before, int of) throws MessagingException {
        int done = before;
        if (unread.uids().isEmpty()) {
            return done;
        }
        unread.folder().open(Folder.READ_ONLY);
        try {
            Fetching fetching = new Fetching(
                    new UidCommands(unread.folder()),
                    properties.largestMessage().toBytes());
            for (int at = 0; at < unread.uids().size(); at += CHUNK) {
                List<Long> chunk = unread.uids()
                        .subList(at, Math.min(at + CHUNK, unread.uids().size()));
                fetching.each(
                        chunk,
                        fetched -> Border.around(() -> arrivals.recordPastMail(mailbox.id(), fetched))
                                .ifPresent(failure -> passedOver(mailbox, failure)));
                done += chunk.size();
                reader.reads(done, of);
            }
        } finally {
            unread.folder().close(false);
        }
        return done;
    }

    private static void passedOver(Mailbox mailbox, Border.Failure failure) {
        if (failure.isTransient()) {
            throw new TakingIn.Interrupted(failure.cause());
        }
        LOG.warn("past messages of {} can't be read: {}", mailbox.id(), failure.trace());
    }
}
