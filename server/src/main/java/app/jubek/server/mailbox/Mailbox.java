package app.jubek.server.mailbox;

import app.jubek.core.people.AddressBook;
import app.jubek.core.people.OwnSide;
import app.jubek.core.safety.Limits;
import app.jubek.core.schedule.Opening;
import app.jubek.core.view.MessageContext;
import java.time.Instant;
import java.time.ZoneId;
import java.util.UUID;

/**
 * A mailbox as its features need it; the password is asked for apart.
 *
 * @param opening its hours and its zone
 */
public record Mailbox(
        UUID id, OwnSide own, Opening opening, MailServer imap, MailServer smtp, String user, Limits limits) {

    /**
     * What criteria ask for of one of its messages.
     *
     * @param junk whether the message is in the mail server's folder for junk
     */
    public MessageContext context(
            AddressBook people, Instant now, Instant received, boolean conversation, String folder, boolean junk) {
        return new MessageContext(
                own, people, now, received, zone(), conversation, own.identity().address(), folder, junk);
    }

    /** What criteria ask for of a message that comes to its inbox now. */
    public MessageContext contextOfInbox(AddressBook people, Instant now) {
        return context(people, now, now, false, "INBOX", false);
    }

    public ZoneId zone() {
        return opening.zone();
    }
}
