package app.jubek.server.account;

import app.jubek.server.platform.Refused;
import java.util.List;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** The one check of who may see which mailbox. What one may not see looks as if it did not exist. */
@Component
public class MailboxAccess {
    private final JdbcClient jdbc;

    MailboxAccess(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /**
     * @throws Refused as not found
     */
    public void check(SignedIn who, UUID mailbox) {
        if (!mailboxes(who).contains(mailbox)) {
            throw Refused.notFound();
        }
    }

    public List<UUID> mailboxes(SignedIn who) {
        return jdbc.sql("select mailbox_id from mailbox_right where account_id = ? order by mailbox_id")
                .param(who.id())
                .query(UUID.class)
                .list();
    }

    public void grant(UUID account, UUID mailbox) {
        jdbc.sql("insert into mailbox_right (account_id, mailbox_id) values (?, ?) on conflict do nothing")
                .params(account, mailbox)
                .update();
    }
}
