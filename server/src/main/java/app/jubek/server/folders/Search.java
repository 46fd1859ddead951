package app.jubek.server.folders;

import app.jubek.server.mailbox.Fetched;
import jakarta.mail.Folder;
import jakarta.mail.MessagingException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.eclipse.angus.mail.imap.IMAPFolder;
import org.eclipse.angus.mail.imap.IMAPStore;

/** Looks for a message by its Message-ID and size; one without a Message-ID is found nowhere. */
record Search(IMAPStore store, StoredMail.Stored wanted) {
    Optional<Fetched.Place> in(String name) throws MessagingException {
        IMAPFolder folder = (IMAPFolder) store.getFolder(name);
        return folder.exists() ? in(folder) : Optional.empty();
    }

    /** In any folder, the one where it was believed first. */
    Optional<Fetched.Place> everywhere() throws MessagingException {
        Optional<Fetched.Place> found = in(wanted.place().folder());
        for (IMAPFolder folder : selectable(store)) {
            if (found.isEmpty()) {
                found = in(folder);
            }
        }
        return found;
    }

    /** All folders that hold messages (RFC 9051 §7.3.1). */
    static List<IMAPFolder> selectable(IMAPStore store) throws MessagingException {
        List<IMAPFolder> all = new ArrayList<>();
        for (Folder listed : store.getDefaultFolder().list("*")) {
            IMAPFolder folder = (IMAPFolder) listed;
            if (!Arrays.asList(folder.getAttributes()).contains("\\Noselect")) {
                all.add(folder);
            }
        }
        return all;
    }

    /** The UIDs of all that are like it in a folder. */
    Set<Long> alike(String name) throws MessagingException {
        IMAPFolder folder = (IMAPFolder) store.getFolder(name);
        if (wanted.messageId().isEmpty() || !folder.exists()) {
            return Set.of();
        }
        try (OpenFolder open = OpenFolder.forReading(folder)) {
            return Set.copyOf(open.commands().like(wanted.messageId().get(), wanted.size()));
        }
    }

    private Optional<Fetched.Place> in(IMAPFolder folder) throws MessagingException {
        if (wanted.messageId().isEmpty()) {
            return Optional.empty();
        }
        try (OpenFolder open = OpenFolder.forReading(folder)) {
            long validity = folder.getUIDValidity();
            return open.commands().like(wanted.messageId().get(), wanted.size()).stream()
                    .max(Long::compare)
                    .map(uid -> new Fetched.Place(folder.getFullName(), validity, uid));
        }
    }
}
