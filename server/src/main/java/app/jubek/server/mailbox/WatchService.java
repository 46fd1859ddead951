package app.jubek.server.mailbox;

import app.jubek.server.platform.JubekProperties;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.stereotype.Service;

/** Starts a watcher for every mailbox, wakes them now and then, and has folders compared. */
@Service
public class WatchService implements DisposableBean {
    private static final Logger LOG = LoggerFactory.getLogger(WatchService.class);

    private final Mailboxes mailboxes;
    private final WatchParts parts;
    private final Reconciling reconciling;
    private final JubekProperties properties;
    private final List<Watcher> watchers = new ArrayList<>();
    private final List<Thread> threads = new ArrayList<>();
    private final ScheduledExecutorService timer = Executors.newScheduledThreadPool(2);

    WatchService(Mailboxes mailboxes, WatchParts parts, Reconciling reconciling, JubekProperties properties) {
        this.mailboxes = mailboxes;
        this.parts = parts;
        this.reconciling = reconciling;
        this.properties = properties;
    }

    public synchronized void start() {
        for (Mailbox mailbox : mailboxes.all()) {
            Watcher watcher = new Watcher(mailbox, parts, properties);
            Thread thread = new Thread(watcher, "watch " + mailbox.id());
            watchers.add(watcher);
            threads.add(thread);
            thread.start();
        }
        long often = Math.min(
                properties.pollInterval().toMillis(), parts.leases().renewal().toMillis());
        timer.scheduleWithFixedDelay(() -> watchers.forEach(Watcher::nudge), often, often, TimeUnit.MILLISECONDS);
        long seldom = properties.upkeepInterval().toMillis();
        timer.scheduleWithFixedDelay(this::reconcile, seldom, seldom, TimeUnit.MILLISECONDS);
    }

    /** Only the node that watches a mailbox compares its folders. */
    private void reconcile() {
        try {
            mailboxes.all().stream()
                    .filter(mailbox -> parts.leases().take(mailbox.id()).isPresent())
                    .filter(this::isRead)
                    .forEach(reconciling::reconcile);
        } catch (RuntimeException failed) {
            LOG.warn("comparing folders failed; it is tried again later", failed);
        }
    }

    private boolean isRead(Mailbox mailbox) {
        return parts.cursors()
                .reading(mailbox.id(), Watcher.INBOX)
                .filter(FolderCursors.Reading::finished)
                .isPresent();
    }

    @Override
    public synchronized void destroy() throws InterruptedException {
        timer.shutdownNow();
        watchers.forEach(Watcher::stop);
        for (Thread thread : threads) {
            thread.join(5_000);
        }
    }
}
