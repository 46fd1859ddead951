package app.jubek.server.watching;

import jakarta.mail.MessagingException;
import java.util.concurrent.atomic.AtomicLong;
import org.eclipse.angus.mail.iap.Response;
import org.eclipse.angus.mail.iap.ResponseHandler;
import org.eclipse.angus.mail.imap.IMAPFolder;
import org.eclipse.angus.mail.imap.protocol.IMAPResponse;

/**
 * How often new mail was announced on a folder's connection: EXISTS with more messages than there were (RFC 3501 §7.3.1).
 * The number of messages alone does not tell, as it stays where one comes as another leaves; nor does EXISTS alone, as a
 * server may repeat it.
 */
final class Announced implements ResponseHandler {
    private final AtomicLong times = new AtomicLong();
    private volatile int messages;

    private Announced(int messages) {
        this.messages = messages;
    }

    /** Counts from now on. */
    static Announced on(IMAPFolder folder) throws MessagingException {
        Announced announced = new Announced(folder.getMessageCount());
        folder.doCommand(protocol -> {
            protocol.addResponseHandler(announced);
            return null;
        });
        return announced;
    }

    long times() {
        return times.get();
    }

    /** Responses of one connection come one after the other. */
    @Override
    public void handleResponse(Response response) {
        if (!(response instanceof IMAPResponse untagged)) {
            return;
        }
        if (untagged.keyEquals("EXISTS")) {
            if (untagged.getNumber() > messages) {
                times.incrementAndGet();
            }
            messages = untagged.getNumber();
        } else if (untagged.keyEquals("EXPUNGE")) {
            messages = messages - 1;
        }
    }
}
