package app.jubek.server.folders;

import app.jubek.core.plan.Advice;
import app.jubek.core.plan.Failure;
import app.jubek.core.plan.Trouble;
import app.jubek.core.wording.Statement;
import jakarta.mail.MessagingException;
import jakarta.mail.ReadOnlyFolderException;
import java.util.Locale;

/** Work in a folder that the mail server refuses. */
public final class ImapRefused extends MessagingException {
    private static final long serialVersionUID = 1L;

    private final transient Trouble trouble;
    private final boolean forNow;

    private ImapRefused(Trouble trouble, boolean forNow) {
        super(trouble.cause().code());
        this.trouble = trouble;
        this.forNow = forNow;
    }

    static ImapRefused forGood(Statement cause, Advice advice) {
        return new ImapRefused(Trouble.of(cause, advice), false);
    }

    /** It may go better later. */
    static ImapRefused forNow(Trouble trouble) {
        return new ImapRefused(trouble, true);
    }

    /** What the server's refusal means (RFC 5530); anything that is no refusal stays what it was. */
    static MessagingException of(MessagingException broken) {
        String told = String.valueOf(broken.getMessage());
        String upper = told.toUpperCase(Locale.ROOT);
        if (upper.contains("OVERQUOTA") || upper.contains("QUOTA")) {
            return new ImapRefused(Trouble.of(Failure.MAILBOX_FULL.with(told), Advice.MAKE_ROOM), true);
        }
        if (broken instanceof ReadOnlyFolderException || upper.contains("READ-ONLY") || upper.contains("READ ONLY")) {
            return forGood(Failure.FOLDER_READ_ONLY.with(told), Advice.ASK_FOR_RIGHT);
        }
        if (upper.contains("KEYWORD")) {
            return forGood(Failure.FOLDER_KEEPS_NO_TAGS.with(told), Advice.REMOVE_TAG);
        }
        return broken;
    }

    public Trouble trouble() {
        return trouble;
    }

    /** Whether it may go better later. */
    public boolean isForNow() {
        return forNow;
    }
}
