package app.jubek.server.account;

import app.jubek.server.platform.Refused;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** The one check of who may see which mailbox. What one may not see looks as if it did not exist. */
@Component
public class MailboxAccess {
    private final MailboxRightRepository rights;

    MailboxAccess(MailboxRightRepository rights) {
        this.rights = rights;
    }

    /**
     * @throws Refused as not found
     */
    public void check(SignedIn who, UUID mailbox) {
        if (!rights.existsById(new MailboxRightEntity.Key(who.id(), mailbox))) {
            throw Refused.notFound();
        }
    }

    public List<UUID> mailboxes(SignedIn who) {
        return rights.mailboxes(who.id());
    }

    /** Once more where it was granted before changes nothing. */
    public void grant(UUID account, UUID mailbox) {
        rights.saveAndFlush(new MailboxRightEntity(new MailboxRightEntity.Key(account, mailbox)));
    }
}
