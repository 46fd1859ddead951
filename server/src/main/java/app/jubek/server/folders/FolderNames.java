package app.jubek.server.folders;

import app.jubek.core.text.Pieces;
import app.jubek.server.mailbox.ImapConnections;
import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.mailbox.SpecialUse;
import jakarta.mail.Folder;
import jakarta.mail.MessagingException;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.eclipse.angus.mail.imap.IMAPStore;
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

    /**
     * The folders that hold received mail, by the names that the server gives them.
     *
     * @param written as rules write them
     * @param subfolders whether the folders inside them are meant, too
     */
    public List<String> ofReceived(Mailbox mailbox, List<String> written, boolean subfolders)
            throws MessagingException {
        List<String> names = new ArrayList<>();
        connections.with(mailbox, store -> {
            for (Folder folder : received(store)) {
                String name = written(folder);
                if (written.stream().anyMatch(one -> isIn(one, name, subfolders))) {
                    names.add(folder.getFullName());
                }
            }
        });
        return names;
    }

    /** As rules write them, each that holds received mail. */
    public List<String> ofReceived(Mailbox mailbox) throws MessagingException {
        List<String> names = new ArrayList<>();
        connections.with(mailbox, store -> {
            for (Folder folder : received(store)) {
                names.add(written(folder));
            }
        });
        return names;
    }

    private static boolean isIn(String chosen, String name, boolean subfolders) {
        return name.equals(chosen) || subfolders && name.startsWith(chosen + "/");
    }

    /** What was sent or thrown away, and what is taken for junk, is no received mail. */
    private static List<Folder> received(IMAPStore store) throws MessagingException {
        List<String> others = new ArrayList<>();
        for (SpecialUse use : List.of(SpecialUse.SENT, SpecialUse.DRAFTS, SpecialUse.TRASH, SpecialUse.JUNK)) {
            use.find(store).map(Folder::getFullName).ifPresent(others::add);
        }
        List<Folder> all = new ArrayList<>();
        for (Folder folder : store.getDefaultFolder().list("*")) {
            boolean holds = (folder.getType() & Folder.HOLDS_MESSAGES) != 0;
            if (holds && !others.contains(folder.getFullName()) && all.size() < MOST) {
                all.add(folder);
            }
        }
        return all;
    }

    private static String written(Folder folder) throws MessagingException {
        char separator = folder.getSeparator();
        return separator == 0 || separator == '/'
                ? folder.getFullName()
                : String.join("/", Pieces.between(folder.getFullName(), separator));
    }
}
