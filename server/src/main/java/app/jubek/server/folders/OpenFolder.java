package app.jubek.server.folders;

import app.jubek.server.mailbox.Fetched;
import app.jubek.server.mailbox.UidCommands;
import jakarta.mail.Folder;
import jakarta.mail.MessagingException;
import org.eclipse.angus.mail.imap.IMAPFolder;
import org.eclipse.angus.mail.imap.IMAPStore;

/** A folder that is closed without expunging: a bare EXPUNGE would remove what others marked as deleted. */
record OpenFolder(IMAPFolder folder, UidCommands commands) implements AutoCloseable {
    static OpenFolder of(IMAPStore store, String name) throws MessagingException {
        return forWriting((IMAPFolder) store.getFolder(name));
    }

    static OpenFolder forWriting(IMAPFolder folder) throws MessagingException {
        folder.open(Folder.READ_WRITE);
        return new OpenFolder(folder, new UidCommands(folder));
    }

    static OpenFolder forReading(IMAPFolder folder) throws MessagingException {
        folder.open(Folder.READ_ONLY);
        return new OpenFolder(folder, new UidCommands(folder));
    }

    boolean holds(Fetched.Place place) throws MessagingException {
        return folder.getUIDValidity() == place.uidValidity() && commands.exists(place.uid());
    }

    @Override
    public void close() throws MessagingException {
        folder.close(false);
    }
}
