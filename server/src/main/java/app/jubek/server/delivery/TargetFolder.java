package app.jubek.server.delivery;

import jakarta.mail.Folder;
import jakarta.mail.MessagingException;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.eclipse.angus.mail.imap.IMAPFolder;
import org.eclipse.angus.mail.imap.IMAPStore;

/** The name by which a mail server knows a folder that a rule means. */
final class TargetFolder {
    private TargetFolder() {}

    /** Rules write "/" between folders within folders; a folder that the server knows by that very name is meant itself. */
    static String named(IMAPStore store, String folder) throws MessagingException {
        char separator = store.getDefaultFolder().getSeparator();
        if (separator == '/' || separator == 0 || store.getFolder(folder).exists()) {
            return folder;
        }
        return Arrays.stream(folder.split("/"))
                .map(part -> part.replace(separator, '_'))
                .collect(Collectors.joining(String.valueOf(separator)));
    }

    /**
     * A folder that the server marks for a use (RFC 6154 §2), or one with a usual name (common practice).
     *
     * @param use with its backslash
     */
    static String forUse(IMAPStore store, String use, List<String> usualNames) throws MessagingException {
        for (Folder folder : store.getDefaultFolder().list("*")) {
            if (Arrays.asList(((IMAPFolder) folder).getAttributes()).contains(use)) {
                return folder.getFullName();
            }
        }
        Optional<String> usual = Optional.empty();
        for (String name : usualNames) {
            if (usual.isEmpty() && store.getFolder(name).exists()) {
                usual = Optional.of(name);
            }
        }
        return usual.orElse(usualNames.get(0));
    }
}
