package app.jubek.server.mailbox;

import app.jubek.core.plan.Advice;
import app.jubek.core.plan.Failure;
import app.jubek.core.plan.Trouble;
import java.time.Instant;
import java.util.Optional;

/**
 * @param trouble why it is not watched, where it is not
 * @param lastContact when the server was last heard of
 */
public record MailboxStatus(
        Watching watching, Optional<Trouble> trouble, Optional<Instant> lastContact, Optional<Instant> lastMessageAt) {
    private static final Trouble NOBODY = Trouble.of(Failure.NOBODY_WATCHES.with(), Advice.START_AGAIN);

    /**
     * What can be said of it now.
     *
     * @param held whether any process has the right to watch it
     */
    public MailboxStatus whenHeld(boolean held) {
        return held || watching != Watching.WATCHING
                ? this
                : new MailboxStatus(Watching.NOT_WATCHED, Optional.of(NOBODY), lastContact, lastMessageAt);
    }
}
