package app.jubek.server.watching;

import app.jubek.core.wording.Wording;
import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.mailbox.MailboxStatus;
import app.jubek.server.mailbox.SpecialUse;
import app.jubek.server.mailbox.UidCommands;
import app.jubek.server.mailbox.Watching;
import app.jubek.server.platform.Border;
import app.jubek.server.platform.JubekProperties;
import app.jubek.server.progress.FolderCursors;
import app.jubek.server.progress.Lease;
import jakarta.mail.Folder;
import jakarta.mail.MessagingException;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.locks.LockSupport;
import java.util.function.BooleanSupplier;
import org.eclipse.angus.mail.imap.IMAPFolder;
import org.eclipse.angus.mail.imap.IMAPStore;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.transaction.TransactionException;

/**
 * Watches one mailbox's inbox on a thread of its own: connects, takes in what is new, waits by IDLE (RFC 2177) or by
 * asking now and then, and connects again after every fault. Looks into its junk, too, while a rule takes mail out of there.
 */
final class Watcher implements Runnable {
    static final String INBOX = "INBOX";

    private static final Logger LOG = LoggerFactory.getLogger(Watcher.class);
    private static final int SLICE = 50;

    private final Mailbox mailbox;
    private final WatchParts parts;
    private final JubekProperties properties;
    private final TakingIn takingIn;
    private volatile boolean stopped;
    private volatile Optional<IMAPFolder> open = Optional.empty();
    private int faults;

    Watcher(Mailbox mailbox, WatchParts parts, JubekProperties properties) {
        this.mailbox = mailbox;
        this.parts = parts;
        this.properties = properties;
        this.takingIn = new TakingIn(mailbox, parts.arrivals(), parts.attempts(), properties.largestMessage());
    }

    @Override
    public void run() {
        while (!stopped) {
            Border.around(this::watchOrWait)
                    .ifPresent(failure -> fault(WatchFault.of(failure.cause(), mailbox.imap())));
        }
        giveBack();
    }

    private void watchOrWait() throws MessagingException {
        Optional<Lease> lease = parts.leases().take(mailbox.id());
        if (lease.isPresent()) {
            parts.arrivals().tryAgain(mailbox.id());
            watch();
        } else {
            pause(Duration.ofSeconds(5));
        }
    }

    private void giveBack() {
        try {
            parts.leases().giveBack(mailbox.id());
        } catch (DataAccessException | TransactionException away) {
            LOG.debug("the lease runs out by itself");
        }
    }

    void stop() {
        stopped = true;
        nudge();
    }

    /** Ends a wait, so that the folder is asked; called by a timer. */
    void nudge() {
        open.ifPresent(folder -> {
            try {
                noop(folder);
            } catch (MessagingException | RuntimeException broken) {
                LOG.debug("nudged a broken connection of {}", mailbox.id());
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
            BesideInbox beside = new BesideInbox(store);
            Announced announced = Announced.on(folder);
            while (!stopped) {
                long known = announced.times();
                Optional<Lease> lease = parts.leases().take(mailbox.id());
                if (lease.isEmpty()) {
                    return;
                }
                Optional<IMAPFolder> sent = beside.withNews(SpecialUse.SENT);
                if (sent.isPresent()) {
                    parts.sent()
                            .read(
                                    mailbox.id(),
                                    sent.get(),
                                    answered -> parts.arrivals().answered(mailbox.id(), answered));
                }
                if (!takeIn(folder, lease.get())) {
                    return;
                }
                if (parts.arrivals().looksIntoJunk(mailbox.id())) {
                    Optional<IMAPFolder> junk = beside.withNews(SpecialUse.JUNK);
                    if (junk.isPresent()) {
                        takeInJunk(junk.get(), lease.get());
                    }
                }
                parts.mailboxes().report(mailbox.id(), Watching.WATCHING, Optional.empty());
                faults = 0;
                await(folder, idle, () -> announced.times() > known);
            }
        } finally {
            open = Optional.empty();
        }
    }

    private void begin(IMAPFolder folder) throws MessagingException {
        Optional<FolderCursors.Cursor> cursor = parts.cursors().find(mailbox.id(), INBOX);
        long validity = folder.getUIDValidity();
        long last = Math.max(folder.getUIDNext(), 1) - 1;
        if (cursor.isEmpty()) {
            parts.cursors().begin(mailbox.id(), INBOX, new FolderCursors.Start(validity, last, Instant.EPOCH));
        } else if (cursor.get().uidValidity() != validity) {
            LOG.warn("the inbox of {} was numbered anew; known mail is recognised by its content", mailbox.id());
            parts.cursors().begin(mailbox.id(), INBOX, renumbered(folder, validity, last));
        }
        parts.firstReading().start(mailbox);
    }

    /** After all UIDs were given out anew: what came in after the last message we know is new, all else is past. */
    private FolderCursors.Start renumbered(IMAPFolder folder, long validity, long last) throws MessagingException {
        MailboxStatus status = parts.mailboxes().status(mailbox.id());
        Instant known = status.lastMessageAt().or(status::lastContact).orElse(Instant.EPOCH);
        UidCommands commands = new UidCommands(folder);
        LocalDate day = LocalDate.ofInstant(known.minus(Duration.ofDays(1)), ZoneOffset.UTC);
        long baseline = commands.list(commands.since(day)).stream()
                .filter(listed -> !listed.received().isBefore(known))
                .mapToLong(UidCommands.Listed::uid)
                .min()
                .orElse(last + 1);
        return new FolderCursors.Start(validity, baseline - 1, known);
    }

    /** What was announced while other mail was fetched is not announced again, so that there is no waiting then. */
    private void await(IMAPFolder folder, boolean idle, BooleanSupplier more) throws MessagingException {
        if (!idle) {
            pause(Duration.ofMillis(Math.min(properties.pollInterval().toMillis(), 15_000)));
            return;
        }
        noop(folder);
        if (!more.getAsBoolean()) {
            folder.idle(true);
        }
    }

    /** The server tells what it has to tell. */
    private static void noop(IMAPFolder folder) throws MessagingException {
        folder.doCommand(protocol -> {
            protocol.simpleCommand("NOOP", null);
            return null;
        });
    }

    /** What lay there before it was first looked at stays there. */
    private void takeInJunk(IMAPFolder junk, Lease lease) throws MessagingException {
        junk.open(Folder.READ_ONLY);
        try {
            long validity = junk.getUIDValidity();
            String name = junk.getFullName();
            boolean begun = parts.cursors()
                    .find(mailbox.id(), name)
                    .filter(cursor -> cursor.uidValidity() == validity)
                    .isPresent();
            if (!begun) {
                long last = Math.max(junk.getUIDNext(), 1) - 1;
                parts.cursors().begin(mailbox.id(), name, new FolderCursors.Start(validity, last, Instant.EPOCH));
            }
            takeIn(junk, lease);
        } finally {
            junk.close(false);
        }
    }

    /** Takes in what is new, in order; returns false when the lease was lost or the watcher is to stop. */
    private boolean takeIn(IMAPFolder folder, Lease lease) throws MessagingException {
        UidCommands commands = new UidCommands(folder);
        Fetching fetching = new Fetching(commands, properties.largestMessage().toBytes());
        long from = parts.cursors()
                .find(mailbox.id(), folder.getFullName())
                .orElseThrow()
                .uid();
        List<Long> fresh = commands.above(from);
        long renewed = System.nanoTime();
        for (int at = 0; at < fresh.size(); at += SLICE) {
            if (System.nanoTime() - renewed > parts.leases().renewal().toNanos()) {
                if (!parts.leases().take(mailbox.id()).filter(lease::equals).isPresent()) {
                    return false;
                }
                renewed = System.nanoTime();
            }
            if (stopped) {
                return false;
            }
            fetching.each(
                    fresh.subList(at, Math.min(at + SLICE, fresh.size())), fetched -> takingIn.all(fetched, lease));
        }
        return true;
    }

    private void fault(WatchFault fault) {
        faults++;
        LOG.warn(
                "watching {}: {}",
                mailbox.id(),
                Wording.english().of(fault.trouble().cause()));
        try {
            parts.mailboxes().report(mailbox.id(), fault.state(), Optional.of(fault.trouble()));
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
}
