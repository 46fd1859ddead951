package app.jubek.server.folders;

import app.jubek.server.mailbox.Fetched;
import java.util.Set;

/** Notes of one step what has to be known for undoing it. */
public interface StepTrace {
    /**
     * How things were before it.
     *
     * @param place where the message lay
     * @param flags its marks, of a step that changes them
     * @param alike the UIDs of messages like it where a copy was to go
     */
    record Before(Fetched.Place place, Set<String> flags, Set<Long> alike) {
        public Before {
            flags = Set.copyOf(flags);
            alike = Set.copyOf(alike);
        }
    }

    /**
     * To be called before anything is changed.
     *
     * @return what was noted first: a repeated attempt may find what an earlier one left
     */
    Before before(Before now);

    /** Where the message, or its copy, lies once it is done. */
    void after(Fetched.Place place);
}
