package app.jubek.server.evidence;

import app.jubek.core.recurring.Kind;
import app.jubek.server.account.SignedIn;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What keeps coming, and which rule takes it. */
@RestController
class KindsController {
    private final PastMail pastMail;
    private final FoundKinds found;

    KindsController(PastMail pastMail, FoundKinds found) {
        this.pastMail = pastMail;
        this.found = found;
    }

    record KindsView(int window, int inKinds, List<KindView> kinds) {}

    /**
     * @param who one line: a list, an address, domains, or how many writers
     * @param weeks messages by week, oldest first
     * @param sample ids of some of its messages, spread over the window
     * @param takenBy rules that take some of it, those that take most first
     * @param nearly a rule that would take it with one value more
     */
    record KindView(
            String key,
            WhoView who,
            List<Kind.Pattern> patterns,
            int morePatterns,
            int messages,
            List<Integer> weeks,
            PastMail.Line example,
            List<Long> sample,
            List<Taken> takenBy,
            Optional<Taken> nearly) {}

    /** Who writes a kind of mail. */
    record WhoView(Who kind, List<String> names, int writers) {}

    /** How the writers of a kind are named. */
    enum Who {
        LIST,
        ADDRESS,
        DOMAINS,
        ANYBODY
    }

    record Taken(String rule, String name, int messages) {}

    @GetMapping("/api/mailboxes/{mailbox}/kinds")
    KindsView kinds(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID mailbox,
            @RequestParam(defaultValue = "90") int days) {
        PastMail.Window window = pastMail.window(who, mailbox, days);
        List<Kind> kinds = found.in(window);
        KindLines lines = new KindLines(window);
        return new KindsView(
                window.past().size(),
                kinds.stream().mapToInt(Kind::size).sum(),
                kinds.stream().map(lines::view).toList());
    }
}
