package app.jubek.server.mailbox;

import app.jubek.core.people.OwnSide;
import app.jubek.core.schedule.Opening;
import java.time.ZoneId;
import java.util.UUID;

/**
 * A mailbox as its features need it; the password is asked for apart.
 *
 * @param opening its hours and its zone
 * @param hourlyLimit messages it may send within an hour
 * @param ruleLimit messages one of its rules may send within an hour
 */
public record Mailbox(
        UUID id,
        OwnSide own,
        Opening opening,
        MailServer imap,
        MailServer smtp,
        String user,
        int hourlyLimit,
        int ruleLimit) {

    public ZoneId zone() {
        return opening.zone();
    }
}
