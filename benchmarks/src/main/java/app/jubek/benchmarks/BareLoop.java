package app.jubek.benchmarks;

import app.jubek.demo.postoffice.PostOffice;
import jakarta.mail.Folder;
import jakarta.mail.Message;
import jakarta.mail.MessagingException;
import jakarta.mail.Session;
import java.util.Properties;
import org.eclipse.angus.mail.imap.IMAPFolder;
import org.eclipse.angus.mail.imap.IMAPStore;

/** Waits by IDLE, fetches, sends on; stores and decides nothing. The floor that any watcher stands on. */
final class BareLoop implements AutoCloseable {
    private final PostOffice.Settings settings;
    private final Thread thread = new Thread(this::loop, "bare loop");
    private volatile boolean stopped;

    BareLoop(PostOffice.Settings settings) {
        this.settings = settings;
        thread.setDaemon(true);
    }

    void start() {
        thread.start();
    }

    private void loop() {
        try (IMAPStore store = (IMAPStore) Session.getInstance(new Properties()).getStore("imap")) {
            store.connect("127.0.0.1", settings.imapPort(), "bare@ostrel-gardens.example", settings.password());
            IMAPFolder folder = (IMAPFolder) store.getFolder("INBOX");
            folder.open(Folder.READ_ONLY);
            int done = folder.getMessageCount();
            while (!stopped) {
                folder.idle(true);
                int now = folder.getMessageCount();
                for (int number = done + 1; number <= now; number++) {
                    Message message = folder.getMessage(number);
                    new Letter("Fwd: " + message.getSubject(), "gate@ostrel-gardens.example").send(settings.smtpPort());
                }
                done = now;
            }
        } catch (MessagingException ended) {
            if (!stopped) {
                throw new IllegalStateException(ended);
            }
        }
    }

    @Override
    public void close() {
        stopped = true;
        thread.interrupt();
    }
}
