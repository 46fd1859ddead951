package app.jubek.server.live;

import app.jubek.server.account.MailboxAccess;
import app.jubek.server.account.SignIns;
import app.jubek.server.account.SignedIn;
import app.jubek.server.platform.Border;
import app.jubek.server.platform.Refused;
import app.jubek.server.signals.Signal;
import app.jubek.server.signals.Signals;
import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.context.SmartLifecycle;
import org.springframework.core.task.TaskExecutor;
import org.springframework.scheduling.TaskScheduler;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/**
 * The streams of all pages that are open on this process. A page is told that something has changed and asks for it, so a
 * stream carries nothing that rights would have to be looked at for, but the mailbox. It ends with the sign-in, and with
 * the server's stop before anything else does.
 */
@Component
public class LiveStreams implements SmartLifecycle {
    private static final Logger LOG = LoggerFactory.getLogger(LiveStreams.class);
    private static final int MOST = 500;

    private static final Duration SIGN = Duration.ofSeconds(10);

    private final SignIns signIns;
    private final MailboxAccess access;
    private final Signals signals;
    private final TaskScheduler timer;
    private final TaskExecutor writers;
    private final Clock clock;
    private final RecentEvents recent;
    private final Set<LiveStream> streams = ConcurrentHashMap.newKeySet();
    private volatile boolean running;

    LiveStreams(
            SignIns signIns,
            MailboxAccess access,
            Signals signals,
            TaskScheduler timer,
            @Qualifier("applicationTaskExecutor") TaskExecutor writers,
            Clock clock) {
        this.signIns = signIns;
        this.access = access;
        this.signals = signals;
        this.timer = timer;
        this.writers = writers;
        this.clock = clock;
        this.recent = new RecentEvents(clock.instant());
    }

    @Override
    public void start() {
        running = true;
        signals.listen(this::hear);
        timer.scheduleWithFixedDelay(this::lookThrough, SIGN);
    }

    /**
     * @param last the id of the event from which to go on; empty at the first time
     * @throws Refused when there are too many, or the server stops
     */
    SseEmitter open(SignedIn who, String session, String last) {
        if (!running || streams.size() >= MOST) {
            throw Refused.unavailable("There are too many open pages just now; this one looks by itself.");
        }
        SseEmitter emitter = new SseEmitter(0L);
        LiveStream stream = new LiveStream(who, session, Set.copyOf(access.mailboxes(who)), emitter);
        emitter.onCompletion(() -> streams.remove(stream));
        emitter.onError(broken -> streams.remove(stream));
        streams.add(stream);
        begin(stream, last);
        return emitter;
    }

    private void begin(LiveStream stream, String last) {
        String now = Event.id(clock.instant());
        try {
            Optional<List<Event>> missed = last.isEmpty() ? Optional.of(List.of()) : recent.after(last);
            stream.say(missed.isPresent() ? "open" : "behind", now);
            missed.ifPresent(events -> events.forEach(event -> tell(stream, event)));
        } catch (IOException gone) {
            drop(stream);
        }
    }

    private void hear(Signal signal) {
        Event event = new Event(clock.instant(), signal);
        recent.add(event);
        streams.forEach(stream -> tell(stream, event));
    }

    private void tell(LiveStream stream, Event event) {
        if (stream.offer(event)) {
            writers.execute(() -> write(stream));
        }
    }

    private void write(LiveStream stream) {
        Border.around(stream::write).ifPresent(gone -> drop(stream));
    }

    /** Ends the streams of those who are not signed in any more, and takes rights back that were taken back. */
    void lookThrough() {
        streams.forEach(stream ->
                writers.execute(() -> Border.around(() -> lookAt(stream)).ifPresent(failed -> {
                    LOG.debug("a stream ends: {}", failed.trace());
                    drop(stream);
                })));
    }

    private void lookAt(LiveStream stream) throws IOException {
        if (!signIns.holds(stream.session())) {
            stream.say("ended", "");
            drop(stream);
            return;
        }
        stream.allow(Set.copyOf(access.mailboxes(stream.who())));
        stream.sign();
    }

    private void drop(LiveStream stream) {
        streams.remove(stream);
        Border.around(stream::end).ifPresent(gone -> LOG.debug("a stream was gone before it ended"));
    }

    @Override
    public void stop() {
        running = false;
        streams.forEach(this::drop);
    }

    @Override
    public boolean isRunning() {
        return running;
    }
}
