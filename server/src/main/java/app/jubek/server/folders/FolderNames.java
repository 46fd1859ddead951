package app.jubek.server.folders;

import app.jubek.core.text.Pieces;
import app.jubek.server.mailbox.ImapConnections;
import app.jubek.server.mailbox.Mailboxes;
import jakarta.mail.Folder;
import jakarta.mail.MessagingException;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;

/** The folders that a mailbox has on its server. */
@Service
public class FolderNames {
    private static final Logger LOG = LoggerFactory.getLogger(FolderNames.class);
    private static final int MOST = 1_000;

    private final ImapConnections connections;
    private final Mailboxes mailboxes;

    FolderNames(ImapConnections connections, Mailboxes mailboxes) {
        this.connections = connections;
        this.mailboxes = mailboxes;
    }

    /** Those that hold messages, as rules write them; none when the server can't be asked now. */
    public List<String> of(UUID mailbox) {
        List<String> names = new ArrayList<>();
        try {
            connections.with(mailboxes.find(mailbox), store -> {
                for (Folder folder : store.getDefaultFolder().list("*")) {
                    if ((folder.getType() & Folder.HOLDS_MESSAGES) != 0 && names.size() < MOST) {
                        names.add(written(folder));
                    }
                }
            });
        } catch (MessagingException away) {
            LOG.debug("the folders can't be listed now: {}", away.getMessage());
        }
        return names;
    }

    private static String written(Folder folder) throws MessagingException {
        char separator = folder.getSeparator();
        return separator == 0 || separator == '/'
                ? folder.getFullName()
                : String.join("/", Pieces.between(folder.getFullName(), separator));
    }
}
