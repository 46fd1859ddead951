package app.jubek.server.watching;

import app.jubek.server.mailbox.Fetched;
import app.jubek.server.mailbox.ImapConnections;
import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.mailbox.UidCommands;
import app.jubek.server.platform.Border;
import app.jubek.server.platform.JubekProperties;
import app.jubek.server.progress.FolderCursors;
import app.jubek.server.progress.WatchLeases;
import jakarta.mail.Folder;
import jakarta.mail.MessagingException;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import org.eclipse.angus.mail.imap.IMAPFolder;
import org.eclipse.angus.mail.imap.IMAPStore;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.scheduling.concurrent.ThreadPoolTaskScheduler;
import org.springframework.stereotype.Component;

/**
 * Reads a mailbox's past mail as evidence, newest first, in the background. Where it is interrupted it goes on after a
 * pause, for as long as this node watches the mailbox.
 */
@Component
class FirstReading implements DisposableBean {
    static final Duration WINDOW = Duration.ofDays(180);

    private static final Logger LOG = LoggerFactory.getLogger(FirstReading.class);
    private static final int CHUNK = 1_000;
    private static final Duration LOOK_AGAIN = Duration.ofSeconds(2);

    private final ImapConnections connections;
    private final FolderCursors cursors;
    private final WatchLeases leases;
    private final Arrivals arrivals;
    private final JubekProperties properties;
    private final Clock clock;
    private final ThreadPoolTaskScheduler background = oneThread();
    private final Set<UUID> running = ConcurrentHashMap.newKeySet();
    private volatile boolean stopped;

    FirstReading(
            ImapConnections connections,
            FolderCursors cursors,
            WatchLeases leases,
            Arrivals arrivals,
            JubekProperties properties,
            Clock clock) {
        this.connections = connections;
        this.cursors = cursors;
        this.leases = leases;
        this.arrivals = arrivals;
        this.properties = properties;
        this.clock = clock;
    }

    /** Its own, as a large mailbox keeps it for an hour. */
    private static ThreadPoolTaskScheduler oneThread() {
        ThreadPoolTaskScheduler scheduler = new ThreadPoolTaskScheduler();
        scheduler.setThreadNamePrefix("first-reading-");
        scheduler.setDaemon(true);
        scheduler.initialize();
        return scheduler;
    }

    void start(Mailbox mailbox) {
        boolean done = cursors.reading(mailbox.id(), Watcher.INBOX)
                .filter(FolderCursors.Reading::finished)
                .isPresent();
        if (!done && running.add(mailbox.id())) {
            background.execute(() -> goOn(mailbox, 1));
        }
    }

    private void goOn(Mailbox mailbox, int attempt) {
        AtomicBoolean paused = new AtomicBoolean();
        Optional<Border.Failure> failure = Border.around(() -> paused.set(readIfOurs(mailbox)));
        if (stopped || failure.isEmpty() && !paused.get()) {
            running.remove(mailbox.id());
            return;
        }
        if (failure.isEmpty()) {
            background.schedule(
                    () -> goOn(mailbox, 1), background.getClock().instant().plus(LOOK_AGAIN));
            return;
        }
        List<Duration> pauses = properties.reconnectAfter();
        Duration pause = pauses.get(Math.min(attempt, pauses.size()) - 1);
        LOG.warn(
                "first reading of {} interrupted; it goes on in {} s: {}",
                mailbox.id(),
                pause.toSeconds(),
                failure.get().words());
        background.schedule(
                () -> goOn(mailbox, attempt + 1),
                background.getClock().instant().plus(pause));
    }

    private boolean isPaused(Mailbox mailbox) {
        return cursors.reading(mailbox.id(), Watcher.INBOX)
                .filter(reading -> reading.paused() && !reading.finished())
                .isPresent();
    }

    /** Whether it was paused before its end. */
    private boolean readIfOurs(Mailbox mailbox) throws MessagingException {
        return isPaused(mailbox) || leases.take(mailbox.id()).isPresent() && read(mailbox);
    }

    private boolean read(Mailbox mailbox) throws MessagingException {
        try (IMAPStore store = connections.openForFirstReading(mailbox)) {
            IMAPFolder folder = (IMAPFolder) store.getFolder(Watcher.INBOX);
            folder.open(Folder.READ_ONLY);
            FolderCursors.Cursor cursor =
                    cursors.find(mailbox.id(), Watcher.INBOX).orElseThrow();
            UidCommands commands = new UidCommands(folder);
            Fetching fetching =
                    new Fetching(commands, properties.largestMessage().toBytes());
            List<Long> uids = pastUids(commands, cursor);
            cursors.readingBegins(mailbox.id(), Watcher.INBOX, uids.size());
            for (int at = 0; at < uids.size(); at += CHUNK) {
                long began = System.nanoTime();
                List<Long> chunk = uids.subList(at, Math.min(at + CHUNK, uids.size()));
                fetching.each(chunk, fetched -> past(mailbox, fetched));
                cursors.readDownTo(mailbox.id(), Watcher.INBOX, chunk.get(chunk.size() - 1), chunk.size());
                if (isPaused(mailbox)) {
                    return true;
                }
                giveWay(System.nanoTime() - began);
            }
            cursors.readDownTo(mailbox.id(), Watcher.INBOX, 0, 0);
            LOG.info("first reading of {} done: {} messages", mailbox.id(), uids.size());
            return false;
        }
    }

    /** One that can't be read is passed over; it is evidence only. */
    private void past(Mailbox mailbox, List<Fetched> fetched) {
        Optional<Border.Failure> failure = Border.around(() -> arrivals.recordPastMail(mailbox.id(), fetched));
        if (failure.isEmpty()) {
            return;
        }
        if (failure.get().isTransient()) {
            throw new TakingIn.Interrupted(failure.get().cause());
        }
        if (fetched.size() > 1) {
            fetched.forEach(one -> past(mailbox, List.of(one)));
        } else {
            LOG.warn(
                    "past message {} of {} can't be read: {}",
                    fetched.get(0).place().uid(),
                    mailbox.id(),
                    failure.get().trace());
        }
    }

    /** New mail and the server's other users come first: a third of the time is left to them. */
    private static void giveWay(long nanos) throws MessagingException {
        try {
            TimeUnit.NANOSECONDS.sleep(nanos / 2);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new MessagingException("Jubek stops");
        }
    }

    private List<Long> pastUids(UidCommands commands, FolderCursors.Cursor cursor) throws MessagingException {
        LocalDate from = LocalDate.ofInstant(clock.instant().minus(WINDOW), ZoneOffset.UTC);
        List<Long> uids = new ArrayList<>(commands.since(from));
        uids.removeIf(uid -> uid > cursor.baseline() || uid >= cursor.readBelow());
        uids.sort(Comparator.reverseOrder());
        return uids;
    }

    @Override
    public void destroy() {
        stopped = true;
        background.destroy();
    }
}
