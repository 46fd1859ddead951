package app.jubek.server.watching;

import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.platform.Border;
import app.jubek.server.platform.JubekProperties;
import app.jubek.server.platform.StandingWork;
import app.jubek.server.platform.StandingWorks;
import app.jubek.server.progress.FolderCursors;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.scheduling.TaskScheduler;
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
    private final List<StandingWork> works = new ArrayList<>();
    private final StandingWorks standing;
    private final TaskScheduler timer;

    WatchService(
            Mailboxes mailboxes,
            WatchParts parts,
            Reconciling reconciling,
            JubekProperties properties,
            StandingWorks standing,
            TaskScheduler timer) {
        this.timer = timer;
        this.standing = standing;
        this.mailboxes = mailboxes;
        this.parts = parts;
        this.reconciling = reconciling;
        this.properties = properties;
    }

    public synchronized void start() {
        for (Mailbox mailbox : mailboxes.all()) {
            Watcher watcher = new Watcher(mailbox, parts, properties);
            watchers.add(watcher);
            works.add(standing.start("watch " + mailbox.id(), watcher));
        }
        Duration poll = properties.pollInterval();
        Duration renewal = parts.leases().renewal();
        every(poll.compareTo(renewal) < 0 ? poll : renewal, this::nudge);
        every(properties.upkeepInterval(), this::reconcile);
    }

    private void every(Duration pause, Runnable task) {
        timer.scheduleWithFixedDelay(task, timer.getClock().instant().plus(pause), pause);
    }

    private void nudge() {
        watchers.forEach(watcher -> Border.around(watcher::nudge)
                .ifPresent(failure -> LOG.warn("a watcher can't be nudged: {}", failure.trace())));
    }

    /** Only the node that watches a mailbox compares its folders. */
    private void reconcile() {
        Border.around(() -> mailboxes.all().forEach(this::reconcile))
                .ifPresent(failure -> LOG.warn("comparing folders failed: {}", failure.trace()));
    }

    private void reconcile(Mailbox mailbox) {
        Border.around(() -> {
                    if (parts.leases().take(mailbox.id()).isPresent() && isRead(mailbox)) {
                        reconciling.reconcile(mailbox);
                    }
                })
                .ifPresent(failure -> LOG.warn("comparing folders of {} failed: {}", mailbox.id(), failure.trace()));
    }

    private boolean isRead(Mailbox mailbox) {
        return parts.cursors()
                .reading(mailbox.id(), Watcher.INBOX)
                .filter(FolderCursors.Reading::finished)
                .isPresent();
    }

    @Override
    public synchronized void destroy() throws InterruptedException {
        works.forEach(StandingWork::stop);
        watchers.forEach(Watcher::stop);
        for (StandingWork work : works) {
            work.join(Duration.ofSeconds(5));
        }
    }
}
