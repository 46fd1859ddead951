package app.jubek.server.rehearsal;

import app.jubek.core.rehearsal.Rehearsal;
import app.jubek.core.rehearsal.Side;
import app.jubek.core.rule.RuleBook;
import app.jubek.formats.rulebook.RuleBookJson;
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
 * Rehearsals under way, and those that came to their end and are still open. What they found is in the memory of one process
 * only; where it is gone, a rehearsal that is asked for begins anew with the same rules.
 */
@Service
class Rehearsals {
    private static final Logger LOG = LoggerFactory.getLogger(Rehearsals.class);
    private static final Duration LOOKED_AT = Duration.ofMinutes(15);
    private static final int OF_MAILBOX = 3;

    private final OpenRehearsalRepository open;
    private final PastMail pastMail;
    private final DecisionContexts contexts;
    private final TaskExecutor background;
    private final Clock clock;
    private final Map<UUID, Job> jobs = new ConcurrentHashMap<>();

    Rehearsals(
            OpenRehearsalRepository open,
            PastMail pastMail,
            DecisionContexts contexts,
            @Qualifier("applicationTaskExecutor") TaskExecutor background,
            Clock clock) {
        this.open = open;
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

    /**
     * How an open rehearsal stands.
     *
     * @param done messages that were looked at
     * @param messages in all; 0 while it is not known
     */
    record Standing(OpenRehearsalEntity of, State state, int done, int messages) {}

    /** One of them. */
    static final class Job {
        private final OpenRehearsalEntity of;
        private final RuleBook rules;
        private volatile State state = State.RUNNING;
        private volatile int done;
        private volatile int messages;
        private volatile long millis;
        private volatile Instant asked;
        private volatile Optional<Made> made = Optional.empty();

        Job(OpenRehearsalEntity of, Instant asked) {
            this.of = of;
            this.rules = RuleBookJson.read(of.document());
            this.asked = asked;
        }

        OpenRehearsalEntity of() {
            return of;
        }

        State state() {
            return state;
        }

        /** Messages that were looked at. */
        int done() {
            return done;
        }

        /** Messages in all; 0 while past mail is still being read. */
        int messages() {
            return messages;
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

    Job begin(UUID mailbox, String words, RuleBook rules, int days, String who) {
        List<OpenRehearsalEntity> older = open.of(mailbox);
        older.stream().skip(OF_MAILBOX - 1L).forEach(oldest -> close(oldest.id()));
        return start(open.save(new OpenRehearsalEntity(mailbox, words, rules, days, clock.instant(), who)));
    }

    private Job start(OpenRehearsalEntity of) {
        Job job = new Job(of, clock.instant());
        Job known = jobs.putIfAbsent(of.id(), job);
        if (known != null) {
            return known;
        }
        background.execute(() -> {
            Border.around(() -> run(job)).ifPresent(failure -> {
                LOG.warn("a rehearsal broke: {}", failure.trace());
                job.state = State.FAILED;
            });
            Border.around(() -> open.came(of.id(), job.state))
                    .ifPresent(failure -> LOG.warn("how a rehearsal ended was not noted: {}", failure.words()));
        });
        return job;
    }

    /** Those that are open; what was under way in a process that is gone goes on in this one. */
    List<Standing> open(UUID mailbox) {
        return open.of(mailbox).stream().map(this::standing).toList();
    }

    private Standing standing(OpenRehearsalEntity of) {
        Optional<Job> here = Optional.ofNullable(jobs.get(of.id()))
                .or(() -> of.state() == State.RUNNING ? Optional.of(start(of)) : Optional.empty());
        return here.map(job -> new Standing(of, job.state(), job.done(), job.messages()))
                .orElseGet(() -> new Standing(of, of.state(), 0, 0));
    }

    private void run(Job job) {
        long begun = System.nanoTime();
        PastMail.Window window = pastMail.window(job.of.mailboxId(), job.of.days());
        job.messages = window.past().size();
        var at = contexts.ofRehearsal(window.mailbox(), window.now());
        job.made = Rehearsal.of(window.past(), new Side(window.book(), at), new Side(job.rules, at), job::goesOn)
                .map(Made::of);
        job.millis = TimeUnit.NANOSECONDS.toMillis(System.nanoTime() - begun);
        job.done = job.messages;
        if (job.made.isPresent()) {
            job.state = State.DONE;
        }
    }

    /**
     * @throws Refused as not found
     */
    Job find(UUID mailbox, UUID id) {
        OpenRehearsalEntity of = open.findByIdAndMailboxId(id, mailbox).orElseThrow(Refused::notFound);
        Job job = start(of);
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

    /**
     * @throws Refused as not found
     */
    void end(UUID mailbox, UUID id) {
        close(open.findByIdAndMailboxId(id, mailbox)
                .orElseThrow(Refused::notFound)
                .id());
    }

    private void close(UUID id) {
        open.close(id);
        forget(id);
    }

    private void forget(UUID id) {
        Optional.ofNullable(jobs.remove(id))
                .filter(job -> job.state == State.RUNNING)
                .ifPresent(job -> job.state = State.ENDED);
    }

    /** What nobody looks at takes no memory; it can be asked for again. */
    @Scheduled(fixedDelay = 1, timeUnit = TimeUnit.MINUTES)
    void forget() {
        Instant before = clock.instant().minus(LOOKED_AT);
        jobs.values().stream()
                .filter(job -> job.state != State.RUNNING && job.asked.isBefore(before))
                .forEach(job -> forget(job.of.id()));
    }
}
