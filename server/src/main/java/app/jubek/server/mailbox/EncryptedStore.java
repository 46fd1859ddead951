package app.jubek.server.mailbox;

import jakarta.mail.MessagingException;
import jakarta.mail.Session;
import jakarta.mail.URLName;
import org.eclipse.angus.mail.iap.ProtocolException;
import org.eclipse.angus.mail.imap.IMAPStore;
import org.eclipse.angus.mail.imap.protocol.IMAPProtocol;

/** An IMAP store that uses STARTTLS (RFC 9051 §6.2.1) and sends nothing secret where the server offers none. */
final class EncryptedStore extends IMAPStore {
    private static final String PROTOCOL = "imap";

    EncryptedStore(Session session) {
        super(session, new URLName(PROTOCOL, null, -1, null, null, null));
    }

    @Override
    protected void preLogin(IMAPProtocol connection) throws ProtocolException {
        if (!connection.isSSL()) {
            throw new ProtocolException(PROTOCOL, new NoEncryption());
        }
    }

    /** A server that takes a connection as signed in at once is asked for no password; it is not believed either. */
    @Override
    public synchronized void connect(String host, int port, String user, String password) throws MessagingException {
        super.connect(host, port, user, password);
        if (!isSSL()) {
            close();
            throw new MessagingException(PROTOCOL, new NoEncryption());
        }
    }
}
