package app.jubek.server.evidence;

import app.jubek.server.account.MailboxAccess;
import app.jubek.server.account.SignedIn;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** How much past mail there is to measure on, and how far it is loaded. */
@RestController
class PastMailController {
    private final PastMail pastMail;
    private final Corpora corpora;
    private final MailboxAccess access;

    PastMailController(PastMail pastMail, Corpora corpora, MailboxAccess access) {
        this.pastMail = pastMail;
        this.corpora = corpora;
        this.access = access;
    }

    /**
     * @param done messages loaded so far
     * @param messages to be loaded in all
     * @param window messages of the window, once all is loaded
     * @param cut whether there is more than fits in memory, so that only the latest messages are looked at
     */
    record PastMailView(boolean ready, long done, long messages, int window, boolean cut) {}

    /** Begins to load it where that has not begun. */
    @GetMapping("/api/mailboxes/{mailbox}/past-mail")
    PastMailView pastMail(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID mailbox,
            @RequestParam(defaultValue = "90") int days) {
        access.check(who, mailbox);
        Corpora.Progress progress = corpora.begin(mailbox);
        int window =
                progress.ready() ? pastMail.window(who, mailbox, days).past().size() : 0;
        return new PastMailView(progress.ready(), progress.done(), progress.messages(), window, progress.cut());
    }
}
