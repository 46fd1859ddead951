package app.jubek.server.watching;

import app.jubek.core.wording.Statement;
import app.jubek.server.mailbox.Fetched;
import app.jubek.server.progress.Lease;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;

/** Receives what the watchers fetch. */
public interface Arrivals {
    /**
     * A new message in the inbox or in junk: to be stored, decided, planned, and the cursor moved past it, in one
     * transaction. Of junk nothing is stored but what a rule takes out of there.
     */
    void receive(UUID mailbox, Fetched message, Lease lease);

    /** A person sent an answer from the mailbox; these Message-IDs stand in it. */
    void answered(UUID mailbox, List<String> references);

    /** A new message that can't be taken in: set aside, shown, and the cursor moved past it. */
    void setAside(UUID mailbox, Fetched message, Lease lease, Statement cause);

    /** What was set aside is tried once more, the first time this is asked for after a restart. */
    void tryAgain(UUID mailbox);

    /** Whether a rule that is on takes mail out of junk. */
    boolean looksIntoJunk(UUID mailbox);

    /** Past mail, as evidence: never acted on. */
    void recordPastMail(UUID mailbox, List<Fetched> messages);

    /** The messages that we believe in a folder and that it does not hold. */
    List<Missing> missing(UUID mailbox, Listing listing);

    /** A message lies elsewhere: somebody moved it. */
    void found(long message, Fetched.Place place);

    /** Messages that are in no folder any more leave the evidence. */
    void gone(UUID mailbox, List<Long> messages);

    /** The folders in which we believe messages. */
    List<String> folders(UUID mailbox);

    /**
     * What a folder holds.
     *
     * @param next above every UID it has given so far
     */
    record Listing(String folder, long uidValidity, long next, Set<Long> uids) {}

    /** A message that is not where it was; without a Message-ID it can't be looked for. */
    record Missing(long message, Optional<String> messageId, long size) {}
}
