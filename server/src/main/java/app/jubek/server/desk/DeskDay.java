package app.jubek.server.desk;

import app.jubek.server.step.DoneCount;
import app.jubek.server.step.Work;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What became of the messages that came in on one day. Each is counted once, by what weighs most: handed on, answered, put
 * somewhere else; with all others it is in the inbox.
 */
record DeskDay(LocalDate day, int came, List<DoneCount> done, int inInbox) {
    /** What is shown as one, the weightiest first. */
    private static final Map<Work, Set<Work>> SHOWN_AS = Collections.unmodifiableMap(new EnumMap<>(Map.of(
            Work.FORWARD, Set.of(Work.FORWARD),
            Work.REDIRECT, Set.of(Work.REDIRECT),
            Work.REPLY, Set.of(Work.REPLY),
            Work.FILE, Set.of(Work.FILE, Work.FILE_ELSEWHERE, Work.ARCHIVE),
            Work.TRASH, Set.of(Work.TRASH, Work.DELETE))));

    /** What was brought back is in the inbox again. */
    private static final Set<Work> MOVED = Set.of(Work.FILE, Work.TRASH);

    /**
     * @param came when each message came in
     * @param done what was done with some of them
     */
    static List<DeskDay> of(List<LocalDate> days, ZoneId zone, Map<Long, Instant> came, Map<Long, Set<Work>> done) {
        Map<LocalDate, List<Long>> byDay =
                came.keySet().stream().collect(Collectors.groupingBy(id -> LocalDate.ofInstant(came.get(id), zone)));
        return days.stream()
                .map(day -> of(day, byDay.getOrDefault(day, List.of()), done))
                .toList();
    }

    private static DeskDay of(LocalDate day, Collection<Long> messages, Map<Long, Set<Work>> done) {
        Map<Work, Integer> counts = new EnumMap<>(Work.class);
        messages.forEach(
                id -> shownAs(done.getOrDefault(id, Set.of())).ifPresent(work -> counts.merge(work, 1, Integer::sum)));
        List<DoneCount> shown = new ArrayList<>();
        counts.forEach((work, count) -> shown.add(new DoneCount(work, count)));
        int handled = counts.values().stream().mapToInt(Integer::intValue).sum();
        return new DeskDay(day, messages.size(), shown, messages.size() - handled);
    }

    private static Optional<Work> shownAs(Set<Work> done) {
        return SHOWN_AS.entrySet().stream()
                .filter(shown -> shown.getValue().stream().anyMatch(done::contains))
                .map(Map.Entry::getKey)
                .filter(work -> !(MOVED.contains(work) && isBack(done)))
                .findFirst();
    }

    private static boolean isBack(Set<Work> done) {
        return done.contains(Work.BRING_BACK) || done.contains(Work.FOLLOW_UP);
    }
}
