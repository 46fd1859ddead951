package app.jubek.server.mailbox;

import app.jubek.server.platform.JubekProperties;
import jakarta.mail.AuthenticationFailedException;
import jakarta.mail.Folder;
import jakarta.mail.MessagingException;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.locks.LockSupport;
import org.eclipse.angus.mail.imap.IMAPFolder;
import org.eclipse.angus.mail.imap.IMAPStore;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.transaction.TransactionException;

/**
 * Watches one mailbox's inbox on a thread of its own: connects, takes in what is new, waits by IDLE (RFC 2177) or by
 * asking now and then, and connects again after every fault.
 */
final class Watcher implements Runnable {
    static final String INBOX = "INBOX";

    private static final Logger LOG = LoggerFactory.getLogger(Watcher.class);
    private static final int ATTEMPTS = 3;

    private final Mailbox mailbox;
    private final WatchParts parts;
    private final JubekProperties properties;
    private volatile boolean stopped;
    private volatile Optional<IMAPFolder> open = Optional.empty();
    private int faults;

    Watcher(Mailbox mailbox, WatchParts parts, JubekProperties properties) {
        this.mailbox = mailbox;
        this.parts = parts;
        this.properties = properties;
    }

    @Override
    public void run() {
        while (!stopped) {
            try {
                Optional<Lease> lease = parts.leases().take(mailbox.id());
                if (lease.isPresent()) {
                    watch();
                } else {
                    pause(Duration.ofSeconds(5));
                }
            } catch (AuthenticationFailedException refused) {
                fault(Watching.SIGN_IN_REFUSED, "The mail server refuses the name or the password.");
            } catch (DataAccessException | TransactionException away) {
                fault(Watching.DATABASE_AWAY, "The database does not answer.");
            } catch (MessagingException | RuntimeException broken) {
                fault(
                        Watching.UNREACHABLE,
                        "The mail server " + mailbox.imap().host() + " can't be reached: " + cause(broken));
            }
        }
        parts.leases().giveBack(mailbox.id());
    }

    void stop() {
        stopped = true;
        nudge();
    }

    /** Ends a wait, so that the folder is asked; called by a timer. */
    void nudge() {
        open.ifPresent(folder -> {
            try {
                folder.doCommand(protocol -> {
                    protocol.simpleCommand("NOOP", null);
                    return null;
                });
            } catch (MessagingException | RuntimeException broken) {
                LOG.debug(
                        "nudged a broken connection of {}",
                        mailbox.own().identity().address());
            }
        });
    }

    private void watch() throws MessagingException {
        try (IMAPStore store = parts.connections().openForWatching(mailbox, properties.pollInterval())) {
            IMAPFolder folder = (IMAPFolder) store.getFolder(INBOX);
            folder.open(Folder.READ_ONLY);
            begin(folder);
            open = Optional.of(folder);
            boolean idle = store.hasCapability("IDLE");
            Optional<IMAPFolder> sent = parts.sent().open(store);
            while (!stopped) {
                Optional<Lease> lease = parts.leases().take(mailbox.id());
                if (lease.isEmpty()) {
                    return;
                }
                if (sent.isPresent()) {
                    parts.sent().read(mailbox.id(), sent.get());
                }
                takeIn(folder, lease.get());
                parts.mailboxes().report(mailbox.id(), Watching.WATCHING, "");
                faults = 0;
                await(folder, idle);
            }
        } finally {
            open = Optional.empty();
        }
    }

    private void begin(IMAPFolder folder) throws MessagingException {
        Optional<FolderCursors.Cursor> cursor = parts.cursors().find(mailbox.id(), INBOX);
        boolean known = cursor.filter(c -> c.uidValidity() == validity(folder)).isPresent();
        if (!known) {
            long next = folder.getUIDNext() > 0 ? folder.getUIDNext() : 1;
            parts.cursors().begin(mailbox.id(), INBOX, folder.getUIDValidity(), next - 1);
        }
        parts.firstReading().start(mailbox);
    }

    private static long validity(IMAPFolder folder) {
        try {
            return folder.getUIDValidity();
        } catch (MessagingException closed) {
            return -1;
        }
    }

    private void await(IMAPFolder folder, boolean idle) throws MessagingException {
        if (idle) {
            folder.idle(true);
        } else {
            pause(Duration.ofMillis(Math.min(properties.pollInterval().toMillis(), 15_000)));
            folder.getMessageCount();
        }
    }

    private void takeIn(IMAPFolder folder, Lease lease) throws MessagingException {
        UidCommands commands = new UidCommands(folder);
        long from = parts.cursors().find(mailbox.id(), INBOX).orElseThrow().uid();
        for (long uid : commands.above(from)) {
            if (stopped) {
                return;
            }
            commands.fetch(List.of(uid)).forEach(message -> takeIn(message, lease));
        }
    }

    private void takeIn(Fetched message, Lease lease) {
        for (int attempt = 1; attempt <= ATTEMPTS; attempt++) {
            try {
                parts.arrivals().arrived(mailbox.id(), message, lease);
                return;
            } catch (org.springframework.dao.DataAccessResourceFailureException | TransactionException away) {
                throw away;
            } catch (RuntimeException unreadable) {
                int times = parts.cursors().failed(mailbox.id(), message.place(), cause(unreadable));
                LOG.warn("message {} of {} failed {} times", message.place().uid(), mailbox.id(), times, unreadable);
                if (times >= ATTEMPTS) {
                    parts.arrivals().setAside(mailbox.id(), message, lease, cause(unreadable));
                    return;
                }
            }
        }
    }

    private void fault(Watching state, String detail) {
        faults++;
        LOG.warn("watching {}: {}", mailbox.own().identity().address(), detail);
        try {
            parts.mailboxes().report(mailbox.id(), state, detail);
        } catch (DataAccessException | TransactionException away) {
            LOG.warn("and the database does not answer");
        }
        List<Duration> pauses = properties.reconnectAfter();
        pause(pauses.get(Math.min(faults, pauses.size()) - 1));
    }

    private void pause(Duration howLong) {
        long end = System.nanoTime() + howLong.toNanos();
        while (!stopped && System.nanoTime() < end) {
            LockSupport.parkNanos(Math.min(end - System.nanoTime(), 200_000_000L));
        }
    }

    private static String cause(Exception broken) {
        Throwable root = broken;
        while (root.getCause() != null) {
            root = root.getCause();
        }
        return root.getMessage() == null ? root.getClass().getSimpleName() : root.getMessage();
    }
}
