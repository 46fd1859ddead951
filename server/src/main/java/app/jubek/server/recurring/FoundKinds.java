package app.jubek.server.recurring;

import app.jubek.core.corpus.PastMessage;
import app.jubek.core.recurring.Kind;
import app.jubek.core.recurring.RecurringKinds;
import app.jubek.server.pastmail.PastMail;
import app.jubek.server.platform.Refused;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.IntStream;
import org.springframework.stereotype.Component;

/** The kinds of each mailbox, kept until its window holds other mail. */
@Component
public class FoundKinds {
    private final Map<UUID, Found> found = new ConcurrentHashMap<>();

    private record Found(int size, long first, long last, List<Kind> kinds) {}

    public List<Kind> in(PastMail.Window window) {
        int size = window.past().size();
        if (size == 0) {
            return List.of();
        }
        long first = window.past().message(0).id();
        long last = window.past().message(size - 1).id();
        return found.compute(
                        window.mailbox().id(),
                        (id, known) ->
                                known != null && known.size() == size && known.first() == first && known.last() == last
                                        ? known
                                        : new Found(size, first, last, find(window)))
                .kinds();
    }

    /** The kind that a message is of. */
    Optional<Kind> of(PastMail.Window window, int place) {
        return in(window).stream()
                .filter(kind -> Collections.binarySearch(kind.members(), place) >= 0)
                .findFirst();
    }

    /**
     * @throws Refused when no such kind recurs in the window
     */
    Kind named(PastMail.Window window, String key) {
        return in(window).stream()
                .filter(kind -> kind.key().equals(key))
                .findFirst()
                .orElseThrow(() -> Refused.invalid(
                        "This mail no longer recurs within the evidence window: choose a longer one at the top.",
                        List.of()));
    }

    private static List<Kind> find(PastMail.Window window) {
        List<PastMessage> messages = IntStream.range(0, window.past().size())
                .mapToObj(window.past()::message)
                .toList();
        return RecurringKinds.of(messages, window.mailbox().own());
    }
}
