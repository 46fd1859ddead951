package app.jubek.core.view;

import app.jubek.core.people.AddressBook;
import app.jubek.core.people.OwnSide;
import java.time.Instant;
import java.time.ZoneId;

/**
 * What criteria ask for that is not in the message.
 *
 * @param received when it came in; its age is what has passed since
 * @param conversation whether it answers something this mailbox sent
 * @param folder where it lay when it was looked at
 * @param junk whether that is where the mail server puts what it takes for junk
 */
public record MessageContext(
        OwnSide own,
        AddressBook people,
        Instant now,
        Instant received,
        ZoneId zone,
        boolean conversation,
        String mailbox,
        String folder,
        boolean junk) {

    /** The same, looked at when the message came in: its age is none. */
    public MessageContext atArrival() {
        return cameIn(received);
    }

    /** The same as if it had just come in at an instant. */
    public MessageContext cameIn(Instant at) {
        return new MessageContext(own, people, at, at, zone, conversation, mailbox, folder, junk);
    }

    /** The same of a message that answers something this mailbox sent, or that does not. */
    public MessageContext conversing(boolean answers) {
        return new MessageContext(own, people, now, received, zone, answers, mailbox, folder, junk);
    }
}
