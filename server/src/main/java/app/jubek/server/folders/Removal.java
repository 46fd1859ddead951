package app.jubek.server.folders;

import app.jubek.server.mailbox.ImapConnections;
import app.jubek.server.mailbox.Mailbox;
import jakarta.mail.MessagingException;
import java.util.ArrayList;
import java.util.List;
import org.eclipse.angus.mail.imap.IMAPFolder;
import org.springframework.stereotype.Component;

/** Removes every copy of a message that Jubek sent itself, wherever in a mailbox it lies. */
@Component
public class Removal {
    private final ImapConnections connections;

    Removal(ImapConnections connections) {
        this.connections = connections;
    }

    /**
     * For good; only where the mail server can remove a single message.
     *
     * @return how many were removed
     * @throws ImapRefused where the server can't
     */
    public int ofAll(Mailbox mailbox, String messageId) throws MessagingException {
        List<Long> removed = new ArrayList<>();
        connections.with(mailbox, store -> {
            ImapSteps.removesSingly(store);
            for (IMAPFolder folder : Search.selectable(store)) {
                removed.addAll(removed(folder, messageId));
            }
        });
        return removed.size();
    }

    private static List<Long> removed(IMAPFolder folder, String messageId) throws MessagingException {
        try (OpenFolder open = OpenFolder.forWriting(folder)) {
            List<Long> found = open.commands().like(messageId, 0);
            for (long uid : found) {
                open.commands().remove(uid);
            }
            return found;
        }
    }
}
