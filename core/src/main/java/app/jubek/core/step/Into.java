package app.jubek.core.step;

import app.jubek.core.address.MailAddress;
import com.google.re2j.Pattern;
import java.util.Optional;

/**
 * Where a message is filed: a folder, which is made when it is missing.
 *
 * @param folder with "/" between folders within folders; the inbox only of another mailbox
 * @param each into folders below that one, one for each of these
 * @param mailbox another own mailbox, by its address; this one when empty
 */
public record Into(String folder, Optional<Each> each, Optional<MailAddress> mailbox) {
    /** Signs that part folders or stand for several of them, and controls. */
    private static final Pattern UNFIT = Pattern.compile("[/\\\\%*\\p{Cc}]");

    private static final String INBOX = "INBOX";

    /** What gets a folder of its own. */
    public enum Each {
        /** A sender that the rule names; the writer's address where it names none. */
        SENDER("sender"),
        /** A phrase or an address other than a sender's that the rule lists. */
        VALUE("value listed");

        private final String words;

        Each(String words) {
            this.words = words;
        }
    }

    public Into {
        folder = folder.strip();
        boolean inbox = folder.equalsIgnoreCase(INBOX);
        if (folder.isEmpty() || inbox && mailbox.isEmpty()) {
            throw new IllegalArgumentException("name a folder other than the inbox to file in");
        }
        folder = inbox ? INBOX : folder;
    }

    /** Where a step files or copies; empty for one that does neither. */
    public static Optional<Into> of(Step step) {
        if (step instanceof Step.File file) {
            return Optional.of(file.into());
        }
        return step instanceof Step.Copy copy ? Optional.of(copy.into()) : Optional.empty();
    }

    /** A folder of this mailbox. */
    public static Into folder(String folder) {
        return new Into(folder, Optional.empty(), Optional.empty());
    }

    /** A folder below it, named for a value. */
    public Into below(String value) {
        String part = UNFIT.matcher(value).replaceAll("_").strip();
        return new Into(folder + "/" + part, Optional.empty(), mailbox);
    }

    /** The folder itself. */
    public Into itself() {
        return new Into(folder, Optional.empty(), mailbox);
    }

    /** As it follows "filed in": "Orders of seeds@ostrel-gardens.example". */
    String inWords() {
        String name = folder.equals(INBOX) ? "the inbox" : folder;
        return name
                + mailbox.map(other -> " of " + other.address()).orElse("")
                + each.map(one -> ", one folder for each " + one.words).orElse("");
    }
}
