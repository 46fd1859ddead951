package app.jubek.server.mailbox;

import jakarta.mail.MessagingException;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import org.eclipse.angus.mail.imap.IMAPFolder;
import org.eclipse.angus.mail.imap.IMAPStore;

/** Folders of one connection that are looked into beside the inbox; one that is made later is found then. */
final class BesideInbox {
    private final IMAPStore store;
    private final Map<Use, IMAPFolder> found = new EnumMap<>(Use.class);

    private enum Use {
        SENT(SpecialUse.SENT),
        JUNK(SpecialUse.JUNK);

        private final SpecialUse special;

        Use(SpecialUse special) {
            this.special = special;
        }
    }

    BesideInbox(IMAPStore store) {
        this.store = store;
    }

    Optional<IMAPFolder> sent() throws MessagingException {
        return find(Use.SENT);
    }

    Optional<IMAPFolder> junk() throws MessagingException {
        return find(Use.JUNK);
    }

    private Optional<IMAPFolder> find(Use use) throws MessagingException {
        if (!found.containsKey(use)) {
            use.special.find(store).ifPresent(folder -> found.put(use, folder));
        }
        return Optional.ofNullable(found.get(use));
    }
}
