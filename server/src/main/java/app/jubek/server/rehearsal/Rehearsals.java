package app.jubek.server.rehearsal;

import app.jubek.core.rehearsal.Rehearsal;
import app.jubek.core.rehearsal.Side;
import app.jubek.core.rule.RuleBook;
import app.jubek.server.deciding.DecisionContexts;
import app.jubek.server.pastmail.PastMail;
import app.jubek.server.platform.Border;
import app.jubek.server.platform.Refused;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.core.task.TaskExecutor;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;

/**
 * Rehearsals under way, and those that somebody still looks at. They are in the memory of one process only: nothing is lost
 * with them, and whoever finds one gone begins it anew.
 */
@Service
class Rehearsals {
    private static final Logger LOG = LoggerFactory.getLogger(Rehearsals.class);
    private static final Duration LOOKED_AT = Duration.ofMinutes(15);
    private static final int OF_MAILBOX = 3;

    private final PastMail pastMail;
    private final DecisionContexts contexts;
    private final TaskExecutor background;
    private final Clock clock;
    private final Map<UUID, Job> jobs = new ConcurrentHashMap<>();

    Rehearsals(
            PastMail pastMail,
            DecisionContexts contexts,
            @Qualifier("applicationTaskExecutor") TaskExecutor background,
            Clock clock) {
        this.pastMail = pastMail;
        this.contexts = contexts;
        this.background = background;
        this.clock = clock;
    }

    /** How a rehearsal stands. */
    enum State {
        RUNNING,
        DONE,
        ENDED,
        FAILED
    }

    /**
     * What came of one.
     *
     * @param fates with the keys by which they are asked for
     */
    record Made(Rehearsal rehearsal, RehearsalViews.Fates fates, RehearsalViews.RehearsalResult result) {
        static Made of(Rehearsal rehearsal) {
            List<Rehearsal.Flow> flows = rehearsal.flows();
            RehearsalViews.Fates fates = RehearsalViews.Fates.of(flows);
            return new Made(rehearsal, fates, RehearsalViews.result(rehearsal, flows, fates));
        }
    }

    /** One of them. */
    static final class Job {
        private final UUID id = UUID.randomUUID();
        private final UUID mailbox;
        private final RuleBook rules;
        private final int days;
        private volatile State state = State.RUNNING;
        private volatile int done;
        private volatile int of;
        private volatile long millis;
        private volatile Instant asked;
        private volatile Optional<Made> made = Optional.empty();

        Job(UUID mailbox, RuleBook rules, int days, Instant asked) {
            this.mailbox = mailbox;
            this.rules = rules;
            this.days = days;
            this.asked = asked;
        }

        UUID id() {
            return id;
        }

        State state() {
            return state;
        }

        /** Messages that were looked at. */
        int done() {
            return done;
        }

        /** Messages in all; 0 while past mail is still being read. */
        int of() {
            return of;
        }

        int days() {
            return days;
        }

        long millis() {
            return millis;
        }

        Optional<Made> made() {
            return made;
        }

        private boolean goesOn(int at) {
            done = at;
            return state == State.RUNNING;
        }
    }

    Job begin(UUID mailbox, RuleBook rules, int days) {
        Job job = new Job(mailbox, rules, days, clock.instant());
        makeRoom(mailbox);
        jobs.put(job.id, job);
        background.execute(() -> Border.around(() -> run(job)).ifPresent(failure -> {
            LOG.warn("a rehearsal broke: {}", failure.trace());
            job.state = State.FAILED;
        }));
        return job;
    }

    /** The oldest of a mailbox make room for a new one. */
    private synchronized void makeRoom(UUID mailbox) {
        List<Job> own = jobs.values().stream()
                .filter(job -> job.mailbox.equals(mailbox))
                .sorted((one, other) -> one.asked.compareTo(other.asked))
                .toList();
        own.stream().limit(Math.max(0, own.size() - OF_MAILBOX + 1)).forEach(this::drop);
    }

    private void run(Job job) {
        long begun = System.nanoTime();
        PastMail.Window window = pastMail.window(job.mailbox, job.days);
        job.of = window.past().size();
        var at = contexts.ofRehearsal(window.mailbox(), window.now());
        job.made = Rehearsal.of(window.past(), new Side(window.book(), at), new Side(job.rules, at), job::goesOn)
                .map(Made::of);
        job.millis = TimeUnit.NANOSECONDS.toMillis(System.nanoTime() - begun);
        job.done = job.of;
        if (job.made.isPresent()) {
            job.state = State.DONE;
        }
    }

    /**
     * @throws Refused as not found
     */
    Job find(UUID mailbox, UUID id) {
        Job job = Optional.ofNullable(jobs.get(id))
                .filter(found -> found.mailbox.equals(mailbox))
                .orElseThrow(Refused::notFound);
        job.asked = clock.instant();
        return job;
    }

    /**
     * What was made of it.
     *
     * @throws Refused while it is under way
     */
    Made made(UUID mailbox, UUID id) {
        return find(mailbox, id)
                .made()
                .orElseThrow(() -> Refused.conflict("This rehearsal has not come to its end.", Map.of()));
    }

    void end(UUID mailbox, UUID id) {
        drop(find(mailbox, id));
    }

    private void drop(Job job) {
        if (job.state == State.RUNNING) {
            job.state = State.ENDED;
        }
        jobs.remove(job.id);
    }

    @Scheduled(fixedDelay = 1, timeUnit = TimeUnit.MINUTES)
    void forget() {
        Instant before = clock.instant().minus(LOOKED_AT);
        jobs.values().stream().filter(job -> job.asked.isBefore(before)).forEach(this::drop);
    }
}
