package app.jubek.server.mailbox;

import java.util.List;
import java.util.UUID;

/** Who takes in what the watcher fetches. */
public interface Arrivals {
    /** A new message: to be stored, decided, planned, and the cursor moved past it, in one transaction. */
    void arrived(UUID mailbox, Fetched message, Lease lease);

    /** A new message that can't be taken in: set aside, shown, and the cursor moved past it. */
    void setAside(UUID mailbox, Fetched message, Lease lease, String cause);

    /** Past mail, as evidence: never acted on. */
    void past(UUID mailbox, List<Fetched> messages);
}
