package app.jubek.server.evidence;

import app.jubek.core.corpus.Corpus;
import app.jubek.core.rehearse.Counter;
import app.jubek.core.rehearse.CourseReach;
import app.jubek.core.rehearse.CriterionFigures;
import app.jubek.core.rehearse.Evidence;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.formats.rulebook.RuleBookJson;
import app.jubek.server.account.MailboxAccess;
import app.jubek.server.account.SignedIn;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.rulebook.RuleBooks;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** What the rule in hand does to past mail. */
@RestController
public class EvidenceController {
    private static final int MAX_DAYS = 180;

    private final Corpora corpora;
    private final RuleBooks books;
    private final Mailboxes mailboxes;
    private final EvidenceRows rows;
    private final MailboxAccess access;
    private final Clock clock;

    EvidenceController(
            Corpora corpora,
            RuleBooks books,
            Mailboxes mailboxes,
            EvidenceRows rows,
            MailboxAccess access,
            Clock clock) {
        this.corpora = corpora;
        this.books = books;
        this.mailboxes = mailboxes;
        this.rows = rows;
        this.access = access;
        this.clock = clock;
    }

    /**
     * @param order where in the course a rule stands that is not in the book yet, from 0
     * @param counter whose messages are listed
     */
    record EvidenceAsked(
            @Schema(ref = "#/components/schemas/Rule") JsonNode rule,
            int order,
            int days,
            Counter counter,
            int offset,
            int limit) {}

    record Counts(int picked, int leftOut, int takenEarlier, int alsoLater, int nearMiss) {}

    record EvidenceView(
            int window,
            Counts counts,
            List<Integer> weeks,
            List<CriterionFigures> picksOut,
            List<CriterionFigures> leavesOut,
            List<EvidenceRow> rows,
            int rowsInAll,
            String readBack) {}

    @PostMapping("/api/mailboxes/{mailbox}/evidence")
    EvidenceView evidence(
            @AuthenticationPrincipal SignedIn who, @PathVariable UUID mailbox, @RequestBody EvidenceAsked asked) {
        access.check(who, mailbox);
        Rule rule = RuleBookJson.readRule(asked.rule());
        RuleBook book = withRule(books.current(mailbox).book(), rule, asked.order());
        Instant now = clock.instant();
        int days = Math.min(Math.max(asked.days(), 1), MAX_DAYS);
        Corpus.View past = corpora.since(mailbox, now.minus(Duration.ofDays(days)));
        Evidence evidence = Evidence.of(book, rule.id(), past);
        return new EvidenceView(
                evidence.window(),
                counts(evidence),
                Weeks.of(evidence, Counter.PICKED, now, days),
                evidence.picksOut(),
                evidence.leavesOut(),
                rows.of(mailbox, evidence, rule, new EvidenceRows.Page(asked.counter(), asked.offset(), asked.limit())),
                evidence.count(asked.counter()),
                rule.inWords());
    }

    /** How many messages of the last 30 days each rule of the course takes, and how many stay. */
    record CourseFigures(int window, List<RuleReach> rules, int inInbox) {}

    record RuleReach(String rule, int picked) {}

    @GetMapping("/api/mailboxes/{mailbox}/course")
    CourseFigures course(@AuthenticationPrincipal SignedIn who, @PathVariable UUID mailbox) {
        access.check(who, mailbox);
        RuleBook book = books.current(mailbox).book();
        Corpus.View past = corpora.since(mailbox, clock.instant().minus(Duration.ofDays(30)));
        CourseReach reach = CourseReach.of(book, past);
        List<RuleReach> each = book.rules().stream()
                .map(rule -> new RuleReach(rule.id().value(), reach.picked(rule.id())))
                .toList();
        return new CourseFigures(past.size(), each, reach.inInbox());
    }

    private static Counts counts(Evidence evidence) {
        return new Counts(
                evidence.count(Counter.PICKED),
                evidence.count(Counter.LEFT_OUT),
                evidence.count(Counter.TAKEN_EARLIER),
                evidence.count(Counter.ALSO_LATER),
                evidence.count(Counter.NEAR_MISS));
    }

    private static RuleBook withRule(RuleBook book, Rule rule, int order) {
        List<Rule> rules = new ArrayList<>(book.rules());
        int at = rules.indexOf(book.find(rule.id()).orElse(rule));
        if (at >= 0) {
            rules.set(at, rule);
        } else {
            rules.add(Math.min(Math.max(order, 0), rules.size()), rule);
        }
        return new RuleBook(rules, book.fence());
    }
}
