package app.jubek.server.evidence;

import app.jubek.core.corpus.Corpus;
import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.Everything;
import app.jubek.core.criteria.Part;
import app.jubek.core.criteria.TextTest;
import app.jubek.core.text.Folding;
import app.jubek.server.account.MailboxAccess;
import app.jubek.server.account.SignedIn;
import app.jubek.server.delivery.Outbox;
import app.jubek.server.delivery.StepView;
import app.jubek.server.intake.MessageLine;
import app.jubek.server.intake.Messages;
import java.time.Clock;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Messages of the evidence window, newest first; plain words are looked for in subject and text. */
@RestController
class IncomingController {
    private static final int MAX_LIMIT = 200;

    private final Corpora corpora;
    private final Messages messages;
    private final Outbox outbox;
    private final MailboxAccess access;
    private final Clock clock;

    IncomingController(Corpora corpora, Messages messages, Outbox outbox, MailboxAccess access, Clock clock) {
        this.corpora = corpora;
        this.messages = messages;
        this.outbox = outbox;
        this.access = access;
        this.clock = clock;
    }

    record IncomingView(int window, int found, List<IncomingLine> lines) {}

    record IncomingLine(MessageLine message, List<StepView> steps) {}

    @GetMapping("/api/mailboxes/{mailbox}/messages")
    IncomingView list(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID mailbox,
            @RequestParam(defaultValue = "") String words,
            @RequestParam(defaultValue = "90") int days,
            @RequestParam(defaultValue = "0") int offset,
            @RequestParam(defaultValue = "100") int limit) {
        access.check(who, mailbox);
        Corpus.View past =
                corpora.since(mailbox, clock.instant().minus(Duration.ofDays(Math.min(Math.max(days, 1), 180))));
        List<Long> ids = matching(past, criterion(words));
        List<Long> page = ids.stream()
                .skip(Math.max(offset, 0))
                .limit(Math.min(Math.max(limit, 1), MAX_LIMIT))
                .toList();
        Map<Long, MessageLine> lines = messages.lines(mailbox, page);
        Map<Long, List<StepView>> steps = outbox.ofMessages(mailbox, page);
        List<IncomingLine> shown = page.stream()
                .filter(lines::containsKey)
                .map(id -> new IncomingLine(lines.get(id), steps.getOrDefault(id, List.of())))
                .toList();
        return new IncomingView(past.size(), ids.size(), shown);
    }

    private static Criterion criterion(String words) {
        boolean nothing = Folding.fold(words).isBlank();
        return nothing ? new Everything() : TextTest.phrases(Part.Kind.SUBJECT_OR_TEXT, List.of(words));
    }

    private static List<Long> matching(Corpus.View past, Criterion criterion) {
        List<Long> ids = new ArrayList<>();
        for (int at = past.size() - 1; at >= 0; at--) {
            if (criterion.holds(past.hits(at))) {
                ids.add(past.message(at).id());
            }
        }
        return ids;
    }
}
