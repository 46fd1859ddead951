package app.jubek.server.mailbox;

import jakarta.mail.FolderClosedException;
import jakarta.mail.MessagingException;
import jakarta.mail.Session;
import jakarta.mail.StoreClosedException;
import java.time.Duration;
import java.util.Map;
import java.util.Optional;
import java.util.Properties;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.TimeUnit;
import org.eclipse.angus.mail.imap.IMAPStore;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/**
 * Opens IMAP connections: with time limits, nothing marked by reading, and TLS everywhere but on loopback. Steps of one
 * mailbox share one connection, one after the other, so that few of what the server allows are taken.
 */
@Component
public class ImapConnections implements DisposableBean {
    private static final Logger LOG = LoggerFactory.getLogger(ImapConnections.class);
    private static final String CONNECT_LIMIT_MS = "15000";
    private static final String READ_LIMIT_MS = "60000";
    private static final String LONG_READ_LIMIT_MS = "600000";

    private static final Duration IDLE = Duration.ofSeconds(30);

    private final Mailboxes mailboxes;
    private final Map<UUID, Shared> shared = new ConcurrentHashMap<>();

    /** The one connection for steps, used by whoever holds its monitor. */
    private static final class Shared {
        private Optional<IMAPStore> store = Optional.empty();
        private long lastUsed;
    }

    /** Work on a connection. */
    public interface Work {
        void on(IMAPStore store) throws MessagingException;
    }

    ImapConnections(Mailboxes mailboxes) {
        this.mailboxes = mailboxes;
    }

    /** Works on the mailbox's shared connection, which is opened when there is none that still answers. */
    public void with(Mailbox mailbox, Work work) throws MessagingException {
        Shared mine = shared.computeIfAbsent(mailbox.id(), id -> new Shared());
        synchronized (mine) {
            if (mine.store.filter(IMAPStore::isConnected).isEmpty()) {
                mine.store = Optional.of(open(mailbox));
            }
            try {
                work.on(mine.store.get());
            } catch (StoreClosedException | FolderClosedException broken) {
                close(mine);
                throw broken;
            } finally {
                mine.lastUsed = System.nanoTime();
            }
        }
    }

    @Scheduled(fixedDelay = 10, timeUnit = TimeUnit.SECONDS)
    void closeIdle() {
        for (Shared one : shared.values()) {
            synchronized (one) {
                if (System.nanoTime() - one.lastUsed > IDLE.toNanos()) {
                    close(one);
                }
            }
        }
    }

    private static void close(Shared one) {
        one.store.ifPresent(store -> {
            try {
                store.close();
            } catch (MessagingException gone) {
                LOG.debug("a connection was gone before it was closed");
            }
        });
        one.store = Optional.empty();
    }

    @Override
    public void destroy() {
        shared.values().forEach(one -> {
            synchronized (one) {
                close(one);
            }
        });
    }

    public IMAPStore open(Mailbox mailbox) throws MessagingException {
        return open(mailbox, READ_LIMIT_MS);
    }

    /** For questions about a whole mailbox, which a server may think about for minutes. */
    public IMAPStore openForFirstReading(Mailbox mailbox) throws MessagingException {
        return open(mailbox, LONG_READ_LIMIT_MS);
    }

    /** For IDLE, which may be silent for as long as its refresh takes. */
    public IMAPStore openForWatching(Mailbox mailbox, Duration silence) throws MessagingException {
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
        properties.put(prefix + "connectionpoolsize", "1");
        properties.put(prefix + "ssl.checkserveridentity", "true");
        boolean startsTls = !mailbox.imap().isLoopback() && !mailbox.imap().isImplicitTls();
        properties.put(prefix + "starttls.enable", Boolean.toString(startsTls));
        Session session = Session.getInstance(properties);
        IMAPStore store = startsTls ? new EncryptedStore(session) : (IMAPStore) session.getStore(protocol);
        store.connect(mailbox.imap().host(), mailbox.imap().port(), mailbox.user(), mailboxes.password(mailbox.id()));
        return store;
    }
}
