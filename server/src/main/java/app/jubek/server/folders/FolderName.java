package app.jubek.server.folders;

import app.jubek.core.text.Pieces;
import app.jubek.server.mailbox.SpecialUse;
import jakarta.mail.MessagingException;
import java.util.stream.Collectors;
import org.eclipse.angus.mail.imap.IMAPFolder;
import org.eclipse.angus.mail.imap.IMAPStore;

/** The name by which a mail server knows a folder that a rule means. */
final class FolderName {
    private FolderName() {}

    /** Rules write "/" between folders within folders; a folder that the server knows by that very name is meant itself. */
    static String named(IMAPStore store, String folder) throws MessagingException {
        char separator = store.getDefaultFolder().getSeparator();
        if (separator == '/' || separator == 0 || store.getFolder(folder).exists()) {
            return folder;
        }
        return Pieces.between(folder, '/').stream()
                .map(part -> part.replace(separator, '_'))
                .collect(Collectors.joining(String.valueOf(separator)));
    }

    /** The folder for a use; where there is none, one of its usual name. */
    static String forUse(IMAPStore store, SpecialUse use) throws MessagingException {
        return use.find(store)
                .map(IMAPFolder::getFullName)
                .orElse(use.usualNames().get(0));
    }
}
