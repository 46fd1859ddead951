package app.jubek.server.delivery;

import jakarta.mail.MessagingException;
import jakarta.mail.ReadOnlyFolderException;
import java.util.Locale;

/** Work in a folder that the mail server refuses. */
final class ImapRefused extends MessagingException {
    private static final long serialVersionUID = 1L;

    private final transient Cause cause;
    private final boolean forNow;

    private ImapRefused(Cause cause, boolean forNow) {
        super(cause.words());
        this.cause = cause;
        this.forNow = forNow;
    }

    static ImapRefused forGood(String words, String advice) {
        return new ImapRefused(new Cause(words, advice), false);
    }

    /** It may go better later. */
    static ImapRefused forNow(Cause cause) {
        return new ImapRefused(cause, true);
    }

    /** What the server's refusal means (RFC 5530); anything that is no refusal stays what it was. */
    static MessagingException of(MessagingException broken) {
        String told = String.valueOf(broken.getMessage());
        String upper = told.toUpperCase(Locale.ROOT);
        if (upper.contains("OVERQUOTA") || upper.contains("QUOTA")) {
            return new ImapRefused(
                    new Cause("the mailbox is full: " + told, "Make room in the mailbox; Jubek tries again by itself."),
                    true);
        }
        if (broken instanceof ReadOnlyFolderException || upper.contains("READ-ONLY") || upper.contains("READ ONLY")) {
            return forGood(
                    "the folder may only be read: " + told,
                    "Ask whoever runs the mail server for the right to change it, then try again.");
        }
        if (upper.contains("KEYWORD")) {
            return forGood(
                    "the mail server keeps no tags in this folder: " + told,
                    "Take the tag out of the rule, or ask whoever runs the mail server.");
        }
        return broken;
    }

    Cause why() {
        return cause;
    }

    /** Whether it may go better later. */
    boolean isForNow() {
        return forNow;
    }
}
