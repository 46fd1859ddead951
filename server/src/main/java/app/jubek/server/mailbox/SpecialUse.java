package app.jubek.server.mailbox;

import jakarta.mail.MessagingException;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.eclipse.angus.mail.imap.IMAPFolder;
import org.eclipse.angus.mail.imap.IMAPStore;

/**
 * Folders that a mail server keeps for a use.
 *
 * @param attribute by which the server marks it, with its backslash (RFC 6154 §2)
 * @param usualNames where it marks none, the likeliest first (common practice)
 */
public record SpecialUse(String attribute, List<String> usualNames) {
    public static final SpecialUse ARCHIVE =
            new SpecialUse("\\Archive", List.of("Archive", "Archives", "Archiv", "Arkiv"));
    public static final SpecialUse TRASH = new SpecialUse(
            "\\Trash", List.of("Trash", "Deleted Items", "Deleted Messages", "Papierkorb", "Papperskorgen"));
    public static final SpecialUse SENT =
            new SpecialUse("\\Sent", List.of("Sent", "Sent Items", "Sent Messages", "Sent Mail"));
    public static final SpecialUse DRAFTS = new SpecialUse("\\Drafts", List.of("Drafts", "Entwürfe", "Utkast"));
    public static final SpecialUse JUNK =
            new SpecialUse("\\Junk", List.of("Junk", "Junk Mail", "Junk E-mail", "Spam", "Skräppost"));

    /** The folder for it, when there is one. */
    public Optional<IMAPFolder> find(IMAPStore store) throws MessagingException {
        List<IMAPFolder> all = Arrays.stream(store.getDefaultFolder().list("*"))
                .map(IMAPFolder.class::cast)
                .toList();
        for (IMAPFolder folder : all) {
            if (Arrays.asList(folder.getAttributes()).contains(attribute)) {
                return Optional.of(folder);
            }
        }
        return usualNames.stream()
                .flatMap(name -> all.stream().filter(folder -> folder.getName().equalsIgnoreCase(name)))
                .findFirst();
    }
}
