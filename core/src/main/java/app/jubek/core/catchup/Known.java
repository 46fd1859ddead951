package app.jubek.core.catchup;

import app.jubek.core.plan.PlannedStep;
import app.jubek.core.safety.ReplyHistory;
import java.util.Set;

/** What was done before a catch-up, and where messages lie. */
public interface Known {
    /** Whether the same was planned for a message before, whatever became of it. */
    boolean isPlanned(long message, PlannedStep step);

    /** The folder in which a message lies now. */
    String folder(long message);

    /**
     * The replies that somebody has had.
     *
     * @param senders addresses by which they are known
     */
    ReplyHistory replies(Set<String> senders);
}
