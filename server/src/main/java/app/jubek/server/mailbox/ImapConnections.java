package app.jubek.server.mailbox;

import jakarta.mail.MessagingException;
import jakarta.mail.Session;
import java.util.Properties;
import org.eclipse.angus.mail.imap.IMAPStore;
import org.springframework.stereotype.Component;

/** Opens IMAP connections: with time limits, nothing marked by reading, and TLS everywhere but on loopback. */
@Component
public class ImapConnections {
    private static final String CONNECT_LIMIT_MS = "15000";
    private static final String READ_LIMIT_MS = "60000";

    private final Mailboxes mailboxes;

    ImapConnections(Mailboxes mailboxes) {
        this.mailboxes = mailboxes;
    }

    public IMAPStore open(Mailbox mailbox) throws MessagingException {
        return open(mailbox, READ_LIMIT_MS);
    }

    /** For IDLE, which may be silent for as long as its refresh takes. */
    IMAPStore openForWatching(Mailbox mailbox, java.time.Duration silence) throws MessagingException {
        return open(mailbox, Long.toString(silence.multipliedBy(2).toMillis() + 30_000));
    }

    private IMAPStore open(Mailbox mailbox, String readLimit) throws MessagingException {
        String protocol = mailbox.imap().isImplicitTls() ? "imaps" : "imap";
        Properties properties = new Properties();
        String prefix = "mail." + protocol + ".";
        properties.put(prefix + "connectiontimeout", CONNECT_LIMIT_MS);
        properties.put(prefix + "timeout", readLimit);
        properties.put(prefix + "writetimeout", READ_LIMIT_MS);
        properties.put(prefix + "peek", "true");
        properties.put(prefix + "fetchsize", "1048576");
        properties.put(prefix + "ssl.checkserveridentity", "true");
        if (!mailbox.imap().isLoopback() && !mailbox.imap().isImplicitTls()) {
            properties.put(prefix + "starttls.enable", "true");
            properties.put(prefix + "starttls.required", "true");
        }
        IMAPStore store = (IMAPStore) Session.getInstance(properties).getStore(protocol);
        store.connect(mailbox.imap().host(), mailbox.imap().port(), mailbox.user(), mailboxes.password(mailbox.id()));
        return store;
    }
}
