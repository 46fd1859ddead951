package app.jubek.server.live;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Optional;

/** The last events, for pages that lost their stream for a moment. */
final class RecentEvents {
    private static final int KEPT = 2_000;

    /** What clocks of processes may differ; an event that is told twice does no harm. */
    private static final Duration OVERLAP = Duration.ofSeconds(2);

    private final Deque<Event> kept = new ArrayDeque<>();
    private Instant since;

    /**
     * @param since from when on events are kept
     */
    RecentEvents(Instant since) {
        this.since = since;
    }

    synchronized void add(Event event) {
        kept.addLast(event);
        if (kept.size() > KEPT) {
            since = kept.removeFirst().at();
        }
    }

    /** What came after an event; empty when that can't be known any more. */
    synchronized Optional<List<Event>> after(String id) {
        Optional<Instant> from = instant(id).map(at -> at.minus(OVERLAP)).filter(at -> !at.isBefore(since));
        return from.map(
                at -> kept.stream().filter(event -> event.at().isAfter(at)).toList());
    }

    private static Optional<Instant> instant(String id) {
        try {
            return Optional.of(Instant.ofEpochMilli(Long.parseLong(id)));
        } catch (NumberFormatException | java.time.DateTimeException notOurs) {
            return Optional.empty();
        }
    }
}
