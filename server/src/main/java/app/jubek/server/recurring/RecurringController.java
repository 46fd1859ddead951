package app.jubek.server.recurring;

import app.jubek.core.recurring.Kind;
import app.jubek.server.account.Allowed;
import app.jubek.server.pastmail.PastMail;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What keeps coming, and which rule takes it. */
@RestController
class RecurringController {
    private static final int MOST_AT_ONCE = 400;

    private final PastMail pastMail;
    private final FoundKinds found;

    RecurringController(PastMail pastMail, FoundKinds found) {
        this.pastMail = pastMail;
        this.found = found;
    }

    record RecurringListView(int messages, int inKinds, List<RecurringView> kinds) {}

    /**
     * @param who one line: a list, an address, domains, or how many senders
     * @param patterns the most frequent one, if it has any
     * @param weeks messages by week, oldest first
     * @param takenBy rules that take some of it, those that take most first
     * @param nearly a rule that would take it with one value more
     */
    record RecurringView(
            String key,
            WhoView who,
            List<Kind.Pattern> patterns,
            int morePatterns,
            int messages,
            List<Integer> weeks,
            PastMail.Line example,
            List<Taken> takenBy,
            Optional<Taken> nearly) {}

    /** Who writes a kind of mail. */
    record WhoView(Who kind, List<String> names, int senders) {}

    /** How the senders of a kind are named. */
    enum Who {
        LIST,
        ADDRESS,
        DOMAINS,
        ANYBODY
    }

    record Taken(String rule, String name, int messages) {}

    /**
     * A kind in detail.
     *
     * @param patterns of its subjects, the most frequent first, at most twelve
     * @param senders those of most messages, at most twelve
     * @param messages a page of them, the newest first
     */
    record KindView(
            RecurringView kind,
            List<Kind.Pattern> patterns,
            List<Sender> senders,
            int allSenders,
            List<PastMail.Line> messages,
            List<SuggestionView> suggestions) {}

    record Sender(String address, int messages) {}

    /** One kind: its messages, patterns, senders, and what would take it. */
    @GetMapping("/api/mailboxes/{mailbox}/recurring-mail/kind")
    KindView kind(
            @Allowed UUID mailbox,
            @RequestParam String key,
            @RequestParam(defaultValue = "90") int days,
            @RequestParam(defaultValue = "0") int offset,
            @RequestParam(defaultValue = "40") int limit) {
        PastMail.Window window = pastMail.window(mailbox, days);
        return new KindLines(window)
                .opened(found.named(window, key), Math.max(0, offset), Math.min(Math.max(1, limit), MOST_AT_ONCE));
    }

    @GetMapping("/api/mailboxes/{mailbox}/recurring-mail")
    RecurringListView kinds(@Allowed UUID mailbox, @RequestParam(defaultValue = "90") int days) {
        PastMail.Window window = pastMail.window(mailbox, days);
        List<Kind> kinds = found.in(window);
        KindLines lines = new KindLines(window);
        return new RecurringListView(
                window.past().size(),
                kinds.stream().mapToInt(Kind::size).sum(),
                kinds.stream().map(lines::view).toList());
    }
}
