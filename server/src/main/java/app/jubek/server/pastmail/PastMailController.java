package app.jubek.server.pastmail;

import app.jubek.server.account.Allowed;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** How much past mail there is to measure on, and how far it is loaded. */
@RestController
class PastMailController {
    private final PastMail pastMail;
    private final Corpora corpora;

    PastMailController(PastMail pastMail, Corpora corpora) {
        this.pastMail = pastMail;
        this.corpora = corpora;
    }

    /**
     * @param done messages loaded so far
     * @param total to be loaded in all
     * @param messages of the evidence period, once all is loaded
     * @param cut whether there is more than fits in memory, so that only the latest messages are looked at
     */
    record PastMailView(boolean ready, long done, long total, int messages, boolean cut) {}

    /** Begins to load it where that has not begun. */
    @GetMapping("/api/mailboxes/{mailbox}/past-mail")
    PastMailView pastMail(@Allowed UUID mailbox, @RequestParam(defaultValue = "90") int days) {
        Corpora.Progress progress = corpora.begin(mailbox);
        int messages = progress.ready() ? pastMail.window(mailbox, days).past().size() : 0;
        return new PastMailView(progress.ready(), progress.done(), progress.messages(), messages, progress.cut());
    }
}
