package app.jubek.server.watching;

import jakarta.mail.MessagingException;
import java.util.concurrent.atomic.AtomicLong;
import org.eclipse.angus.mail.iap.Response;
import org.eclipse.angus.mail.iap.ResponseHandler;
import org.eclipse.angus.mail.imap.IMAPFolder;
import org.eclipse.angus.mail.imap.protocol.IMAPResponse;

/**
 * How often new mail was announced on a folder's connection (EXISTS, RFC 3501 §7.3.1). The number of messages does not
 * tell: where one comes as another leaves, it stays as it was.
 */
final class Announced implements ResponseHandler {
    private final AtomicLong times = new AtomicLong();

    private Announced() {}

    /** Counts from now on. */
    static Announced on(IMAPFolder folder) throws MessagingException {
        Announced announced = new Announced();
        folder.doCommand(protocol -> {
            protocol.addResponseHandler(announced);
            return null;
        });
        return announced;
    }

    long times() {
        return times.get();
    }

    @Override
    public void handleResponse(Response response) {
        if (response instanceof IMAPResponse untagged && untagged.keyEquals("EXISTS")) {
            times.incrementAndGet();
        }
    }
}
