package app.jubek.core.step;

import app.jubek.core.address.MailAddress;
import app.jubek.core.wording.Argument;
import com.google.re2j.Pattern;
import java.util.Optional;

/**
 * Where a message is filed: a folder, which is made when it is missing.
 *
 * @param folder with "/" between folders within folders; the inbox only of another mailbox
 * @param each into folders below that one, one for each of these
 * @param mailbox another own mailbox, by its address; this one when empty
 */
public record TargetFolder(String folder, Optional<Each> each, Optional<MailAddress> mailbox) {
    /** Signs that part folders or stand for several of them, and controls. */
    private static final Pattern UNFIT = Pattern.compile("[/\\\\%*\\p{Cc}]");

    private static final String INBOX = "INBOX";

    /** What gets a folder of its own. */
    public enum Each {
        /** A sender that the rule names; the sender's address where it names none. */
        SENDER,
        /** A phrase or an address other than a sender's that the rule lists. */
        VALUE
    }

    public TargetFolder {
        folder = folder.strip();
        boolean inbox = folder.equalsIgnoreCase(INBOX);
        if (folder.isEmpty() || inbox && mailbox.isEmpty()) {
            throw new IllegalArgumentException("name a folder other than the inbox to file in");
        }
        folder = inbox ? INBOX : folder;
    }

    /** Where a step files or copies; empty for one that does neither. */
    public static Optional<TargetFolder> of(Step step) {
        if (step instanceof Step.File file) {
            return Optional.of(file.target());
        }
        return step instanceof Step.Copy copy ? Optional.of(copy.target()) : Optional.empty();
    }

    /** A folder of this mailbox. */
    public static TargetFolder folder(String folder) {
        return new TargetFolder(folder, Optional.empty(), Optional.empty());
    }

    /** A folder below it, named for a value. */
    public TargetFolder below(String value) {
        String part = UNFIT.matcher(value).replaceAll("_").strip();
        return new TargetFolder(folder + "/" + part, Optional.empty(), mailbox);
    }

    /** The folder itself. */
    public TargetFolder itself() {
        return new TargetFolder(folder, Optional.empty(), mailbox);
    }

    /** As it follows "filed in": "Orders of seeds@ostrel-gardens.example". */
    Argument argument() {
        Argument named = folder.equals(INBOX) ? StepPhrase.THE_INBOX.with() : Argument.of(folder);
        Argument whose = mailbox.<Argument>map(other -> StepPhrase.FOLDER_OF_MAILBOX.with(named, other.address()))
                .orElse(named);
        return each.<Argument>map(one -> one == Each.SENDER
                        ? StepPhrase.FOLDER_PER_SENDER.with(whose)
                        : StepPhrase.FOLDER_PER_VALUE.with(whose))
                .orElse(whose);
    }
}
