package app.jubek.server.watching;

import app.jubek.server.mailbox.SpecialUse;
import jakarta.mail.MessagingException;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import org.eclipse.angus.mail.imap.IMAPFolder;
import org.eclipse.angus.mail.imap.IMAPStore;

/**
 * Folders of one connection that are looked into beside the inbox; one that is made later is found then. Whether anything
 * came is asked without opening them (RFC 9051 §6.3.11), for that is asked often.
 */
final class BesideInbox {
    private final IMAPStore store;
    private final Map<SpecialUse, IMAPFolder> found = new HashMap<>();
    private final Map<SpecialUse, Long> seen = new HashMap<>();

    BesideInbox(IMAPStore store) {
        this.store = store;
    }

    /** The folder for a use, when something may have come there since it was last asked for. */
    Optional<IMAPFolder> withNews(SpecialUse use) throws MessagingException {
        if (!found.containsKey(use)) {
            use.find(store).ifPresent(folder -> found.put(use, folder));
        }
        IMAPFolder folder = found.get(use);
        if (folder == null) {
            return Optional.empty();
        }
        long next = folder.getUIDNext();
        Long before = seen.put(use, next);
        return before != null && next > 0 && before == next ? Optional.empty() : Optional.of(folder);
    }
}
