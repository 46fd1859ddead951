package app.jubek.server.watching;

import app.jubek.server.mailbox.Fetched;
import app.jubek.server.mailbox.ImapConnections;
import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.mailbox.UidCommands;
import jakarta.mail.Folder;
import jakarta.mail.MessagingException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.eclipse.angus.mail.imap.IMAPFolder;
import org.eclipse.angus.mail.imap.IMAPStore;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/** Compares what we believe in the folders with what lies there: what was moved is found, what was removed leaves. */
@Component
class Reconciling {
    private static final Logger LOG = LoggerFactory.getLogger(Reconciling.class);

    private final ImapConnections connections;
    private final Arrivals arrivals;

    Reconciling(ImapConnections connections, Arrivals arrivals) {
        this.connections = connections;
        this.arrivals = arrivals;
    }

    void reconcile(Mailbox mailbox) {
        try (IMAPStore store = connections.open(mailbox)) {
            List<Arrivals.Missing> missing = new ArrayList<>();
            for (String folder : arrivals.folders(mailbox.id())) {
                missing.addAll(missing(mailbox, (IMAPFolder) store.getFolder(folder)));
            }
            if (!missing.isEmpty()) {
                lookElsewhere(mailbox, store, missing);
            }
        } catch (MessagingException broken) {
            LOG.warn("comparing the folders of {} waits for the next time: {}", mailbox.id(), broken.toString());
        }
    }

    private List<Arrivals.Missing> missing(Mailbox mailbox, IMAPFolder folder) throws MessagingException {
        if (!folder.exists()) {
            return arrivals.missing(
                    mailbox.id(), new Arrivals.Listing(folder.getFullName(), 0, Long.MAX_VALUE, Set.of()));
        }
        folder.open(Folder.READ_ONLY);
        try {
            long next = folder.getUIDNext() > 0 ? folder.getUIDNext() : Long.MAX_VALUE;
            return arrivals.missing(
                    mailbox.id(),
                    new Arrivals.Listing(
                            folder.getFullName(), folder.getUIDValidity(), next, new UidCommands(folder).all()));
        } finally {
            folder.close(false);
        }
    }

    private void lookElsewhere(Mailbox mailbox, IMAPStore store, List<Arrivals.Missing> missing)
            throws MessagingException {
        List<Arrivals.Missing> left = new ArrayList<>(missing);
        for (Folder each : store.getDefaultFolder().list("*")) {
            IMAPFolder folder = (IMAPFolder) each;
            boolean selectable = !Arrays.asList(folder.getAttributes()).contains("\\Noselect");
            if (!left.isEmpty() && selectable) {
                folder.open(Folder.READ_ONLY);
                try {
                    lookIn(folder, left);
                } finally {
                    folder.close(false);
                }
            }
        }
        arrivals.gone(mailbox.id(), left.stream().map(Arrivals.Missing::message).toList());
    }

    private void lookIn(IMAPFolder folder, List<Arrivals.Missing> left) throws MessagingException {
        UidCommands commands = new UidCommands(folder);
        long validity = folder.getUIDValidity();
        for (Arrivals.Missing one : List.copyOf(left)) {
            Optional<Long> uid = one.messageId().isEmpty()
                    ? Optional.empty()
                    : commands.like(one.messageId().get(), one.size()).stream().findFirst();
            if (uid.isPresent()) {
                arrivals.found(one.message(), new Fetched.Place(folder.getFullName(), validity, uid.get()));
                left.remove(one);
            }
        }
    }
}
