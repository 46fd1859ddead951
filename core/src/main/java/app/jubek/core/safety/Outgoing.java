package app.jubek.core.safety;

import app.jubek.core.address.MailAddress;
import java.util.Optional;

/** Something that is to leave by SMTP, to one recipient. */
public sealed interface Outgoing {
    MailAddress recipient();

    /** The envelope sender; empty for the null path (RFC 5321 §4.5.5). */
    Optional<MailAddress> envelopeSender();

    /** A forward or a redirect. */
    record HandedOn(MailAddress recipient, Optional<MailAddress> envelopeSender) implements Outgoing {}

    /** An automatic answer. */
    record Answer(MailAddress recipient, Optional<MailAddress> envelopeSender) implements Outgoing {}

    /**
     * Asks somebody outside whether they want a mailbox's mail, or tells a colleague that it comes.
     *
     * @param tellsOnly it needs no answer
     */
    record Request(MailAddress recipient, Optional<MailAddress> envelopeSender, boolean tellsOnly)
            implements Outgoing {}

    /** What stays inside: a message to an own alias, to see whether it arrives, or what waits, told to a colleague. */
    record Inside(MailAddress recipient, Optional<MailAddress> envelopeSender) implements Outgoing {}
}
