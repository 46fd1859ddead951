package app.jubek.demo.postoffice;

import app.jubek.demo.faults.FaultBench;
import app.jubek.demo.garden.GardenMail;
import app.jubek.demo.garden.Posted;
import app.jubek.demo.garden.Week;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ScheduledFuture;
import java.util.concurrent.TimeUnit;

/**
 * Mail that comes in by itself, by SMTP: first the last week, some hours of it whenever they are asked for; then a message
 * now and then. What is still to come of the week outlives a restart.
 */
final class Traffic implements AutoCloseable {
    private static final String EDUCATION = "education@ostrel-gardens.example";
    private static final int REFUSED = 550;

    /** At least between two messages, when nobody asks for another pace. */
    static final int USUAL_SECONDS = 30;

    private static final Duration AT_ONCE = Duration.ofHours(3);

    private final Path kept;
    private final OffsetClock clock;
    private final FaultBench bench;
    private final Writing writing;
    private final Random random = new Random(GardenMail.SEED);
    private final ScheduledExecutorService timer = Executors.newSingleThreadScheduledExecutor(task -> {
        Thread thread = new Thread(task, "traffic");
        thread.setDaemon(true);
        return thread;
    });
    private List<Posted> week = List.of();
    private int done;
    private Pace pace = new Pace(true, USUAL_SECONDS);
    private Optional<ScheduledFuture<?>> waiting = Optional.empty();

    /**
     * How mail comes in after the week.
     *
     * @param paused none does
     * @param everySeconds at least between two messages, and at most twice as long; 1 to 3,600
     */
    record Pace(boolean paused, int everySeconds) {
        private static final int LONGEST = 3_600;

        Pace {
            if (everySeconds < 1 || everySeconds > LONGEST) {
                throw new IllegalArgumentException(
                        "mail comes in every 1 to " + LONGEST + " seconds, not " + everySeconds);
            }
        }
    }

    /**
     * @param delivered messages that the last hours brought, where one was asked for
     * @param weekLeft messages of the week that are still to come
     */
    record State(int delivered, int weekLeft, boolean paused, int everySeconds) {}

    Traffic(Path data, OffsetClock clock, FaultBench bench, Writing writing) {
        this.kept = data.resolve("week");
        this.clock = clock;
        this.bench = bench;
        this.writing = writing;
    }

    /** The week before an instant is to come, beginning where an earlier process left off. */
    synchronized void expect(Instant end, GardenMail usual) {
        week = Week.until(end, usual);
        done = (int)
                week.stream().filter(letter -> !letter.at().isAfter(reached())).count();
    }

    /** The week up to an instant is among past mail, and never comes by itself. */
    synchronized void leaveOut(Instant end) throws IOException {
        Files.writeString(kept, end.toString());
    }

    synchronized State state() {
        return new State(0, week.size() - done, pace.paused(), pace.everySeconds());
    }

    synchronized State change(Pace wanted) {
        pace = wanted;
        next();
        return state();
    }

    /** Brings what comes within the next hours that bring any; the clock goes along, and is right when none is left. */
    synchronized State nextHours() throws IOException {
        int before = done;
        if (done < week.size()) {
            Instant end = week.get(done).at().plus(AT_ONCE);
            while (done < week.size() && week.get(done).at().isBefore(end)) {
                bring(week.get(done));
                done++;
            }
            Files.writeString(kept, week.get(done - 1).at().toString());
        }
        if (done == week.size()) {
            clock.moveTo(Duration.ZERO);
        }
        return new State(done - before, week.size() - done, pace.paused(), pace.everySeconds());
    }

    /** In the middle of the week, one hand-over to the education desk is refused. */
    private void bring(Posted letter) throws IOException {
        if (done == week.size() / 2) {
            bench.refuse(EDUCATION, REFUSED, 1);
        }
        clock.moveTo(Duration.between(Instant.now(), letter.at()));
        writing.post(letter);
    }

    private Instant reached() {
        try {
            return Files.exists(kept) ? Instant.parse(Files.readString(kept)) : Instant.MIN;
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    private void next() {
        waiting.ifPresent(task -> task.cancel(false));
        int seconds = pace.everySeconds() + random.nextInt(pace.everySeconds() + 1);
        waiting = Optional.of(timer.schedule(this::bringAny, seconds, TimeUnit.SECONDS));
    }

    private synchronized void bringAny() {
        try {
            if (!pace.paused() && done == week.size()) {
                Instant now = clock.instant();
                writing.post(Posted.any(Math.toIntExact(now.getEpochSecond()), now));
            }
        } catch (IOException away) {
            System.err.println("post office: a message could not be handed in: " + away.getMessage());
        } finally {
            next();
        }
    }

    @Override
    public void close() {
        timer.shutdownNow();
    }
}
