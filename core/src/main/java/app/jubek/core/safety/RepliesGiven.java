package app.jubek.core.safety;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;

/** Replies given one after the other, found by who had them, so that many cost no more to look through than few. */
public final class RepliesGiven {
    private final Map<String, List<ReplyHistory.Entry>> bySender = new HashMap<>();

    public void note(ReplyHistory.Entry entry) {
        entry.senders()
                .forEach(sender ->
                        bySender.computeIfAbsent(sender, s -> new ArrayList<>()).add(entry));
    }

    /**
     * What somebody has had so far.
     *
     * @param senders addresses by which they are known
     */
    public ReplyHistory to(Collection<String> senders) {
        return to(senders, entry -> true);
    }

    /** What somebody has had before an instant. */
    public ReplyHistory before(Collection<String> senders, Instant at) {
        return to(senders, entry -> entry.at().isBefore(at));
    }

    private ReplyHistory to(Collection<String> senders, Predicate<ReplyHistory.Entry> which) {
        List<ReplyHistory.Entry> entries = senders.stream()
                .distinct()
                .flatMap(sender -> bySender.getOrDefault(sender, List.of()).stream())
                .distinct()
                .filter(which)
                .toList();
        return entries.isEmpty() ? ReplyHistory.empty() : new ReplyHistory(entries);
    }
}
