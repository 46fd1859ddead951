package app.jubek.server.mailbox;

import app.jubek.server.platform.JubekProperties;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.stereotype.Service;

/** Starts a watcher for every mailbox, and wakes them now and then. */
@Service
public class WatchService implements DisposableBean {
    private final Mailboxes mailboxes;
    private final WatchParts parts;
    private final JubekProperties properties;
    private final List<Watcher> watchers = new ArrayList<>();
    private final List<Thread> threads = new ArrayList<>();
    private final ScheduledExecutorService timer = Executors.newSingleThreadScheduledExecutor();

    WatchService(Mailboxes mailboxes, WatchParts parts, JubekProperties properties) {
        this.mailboxes = mailboxes;
        this.parts = parts;
        this.properties = properties;
    }

    public synchronized void start() {
        for (Mailbox mailbox : mailboxes.all()) {
            Watcher watcher = new Watcher(mailbox, parts, properties);
            Thread thread =
                    new Thread(watcher, "watch " + mailbox.own().identity().address());
            watchers.add(watcher);
            threads.add(thread);
            thread.start();
        }
        long millis = Math.min(properties.pollInterval().toMillis(), 20_000);
        timer.scheduleWithFixedDelay(() -> watchers.forEach(Watcher::nudge), millis, millis, TimeUnit.MILLISECONDS);
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
