package app.jubek.server.records;

import app.jubek.core.wording.Wording;
import app.jubek.server.account.Allowed;
import app.jubek.server.account.SignedIn;
import app.jubek.server.intake.MessageLine;
import app.jubek.server.intake.Messages;
import app.jubek.server.queue.Outbox;
import app.jubek.server.step.StepView;
import de.siegmar.fastcsv.writer.CsvWriter;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springdoc.core.annotations.ParameterObject;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;

/** Everything that was done, is waiting, or was kept back. */
@RestController
public class RecordsController {
    private static final int LIMIT = 500;

    private static final int MOST_LINES = 50_000;

    /** How long an answer that was withheld stands on the desk. */
    private static final Duration ON_THE_DESK = Duration.ofDays(7);

    private final Outbox outbox;
    private final RecordSearch search;
    private final Changes changes;
    private final Messages messages;
    private final Wording words;
    private final Clock clock;

    RecordsController(
            Outbox outbox, RecordSearch search, Changes changes, Messages messages, Wording words, Clock clock) {
        this.search = search;
        this.changes = changes;
        this.words = words;
        this.clock = clock;
        this.outbox = outbox;
        this.messages = messages;
    }

    record RecordView(StepView step, MessageLine message) {}

    /**
     * A page of records, the newest first.
     *
     * @param changes of rules and templates in the time of this page, where it is asked for nothing but a time
     * @param next what to ask for the page after it
     */
    record RecordsPage(List<RecordView> records, List<Changes.SavedChange> changes, Optional<String> next) {}

    /**
     * @param after as the page before it says
     */
    @GetMapping("/api/mailboxes/{mailbox}/records")
    RecordsPage records(
            @Allowed UUID mailbox,
            @ParameterObject RecordQuery query,
            @RequestParam(defaultValue = "") String after,
            @RequestParam(defaultValue = "100") int limit) {
        RecordFilter filter = query.filter();
        Optional<RecordSearch.Place> begin = RecordSearch.Place.read(after);
        RecordSearch.Page page = search.page(mailbox, filter, begin, Math.min(Math.max(limit, 1), LIMIT));
        Instant until =
                begin.map(RecordSearch.Place::plannedAt).or(filter::until).orElse(clock.instant());
        Instant from =
                page.next().map(RecordSearch.Place::plannedAt).or(filter::from).orElse(Instant.EPOCH);
        return new RecordsPage(
                views(mailbox, page.steps()),
                filter.isAboutMessages() ? List.of() : changes.between(mailbox, from, until),
                page.next().map(RecordSearch.Place::written));
    }

    /** How many there are, up to 10,000. */
    @GetMapping("/api/mailboxes/{mailbox}/records/count")
    RecordSearch.RecordCount countRecords(@Allowed UUID mailbox, @ParameterObject RecordQuery query) {
        return search.count(mailbox, query.filter());
    }

    /** The newest 50,000 as comma-separated values. */
    @GetMapping(value = "/api/mailboxes/{mailbox}/records/csv", produces = "text/csv")
    ResponseEntity<StreamingResponseBody> recordsAsCsv(@Allowed UUID mailbox, @ParameterObject RecordQuery query) {
        RecordFilter filter = query.filter();
        StreamingResponseBody body = out -> {
            try (CsvWriter lines = CsvWriter.builder().build(out, StandardCharsets.UTF_8)) {
                write(mailbox, filter, new RecordsCsv(lines, words::of));
            }
        };
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename("records.csv")
                                .build()
                                .toString())
                .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
                .body(body);
    }

    private void write(UUID mailbox, RecordFilter filter, RecordsCsv csv) {
        csv.head();
        Optional<RecordSearch.Place> after = Optional.empty();
        for (int written = 0; written < MOST_LINES; written += LIMIT) {
            RecordSearch.Page page = search.page(mailbox, filter, after, LIMIT);
            views(mailbox, page.steps()).forEach(one -> csv.line(one.step(), one.message()));
            after = page.next();
            if (after.isEmpty()) {
                return;
            }
        }
    }

    /** Messages that were filed away without the answer that their rule gives, and that nobody has seen to. */
    @GetMapping("/api/mailboxes/{mailbox}/records/unanswered")
    List<RecordView> unanswered(@Allowed UUID mailbox, @RequestParam(defaultValue = "180") int days) {
        return views(mailbox, outbox.unseen(mailbox, clock.instant().minus(Duration.ofDays(days)), LIMIT));
    }

    /** Messages that came back as nobody dealt with them, or were not for who had them, and that nobody has seen to. */
    @GetMapping("/api/mailboxes/{mailbox}/records/brought-back")
    List<RecordView> broughtBack(@Allowed UUID mailbox, @RequestParam(defaultValue = "180") int days) {
        return views(mailbox, outbox.broughtBack(mailbox, clock.instant().minus(Duration.ofDays(days)), LIMIT));
    }

    private List<RecordView> views(UUID mailbox, List<StepView> steps) {
        Map<Long, MessageLine> lines = messages.lines(
                mailbox, steps.stream().map(StepView::message).distinct().toList());
        return steps.stream()
                .map(step -> new RecordView(step, lines.get(step.message())))
                .toList();
    }

    record Waiting(int steps) {}

    /** How many steps wait for a person, as the desk lists them. */
    @GetMapping("/api/mailboxes/{mailbox}/records/waiting")
    Waiting waiting(@Allowed UUID mailbox) {
        return new Waiting(outbox.needsPerson(mailbox, clock.instant().minus(ON_THE_DESK)));
    }

    @PostMapping("/api/mailboxes/{mailbox}/steps/{step}/{act}")
    StepView act(
            @Allowed UUID mailbox,
            @PathVariable UUID step,
            @PathVariable StepView.Act act,
            @AuthenticationPrincipal SignedIn who) {
        return outbox.act(mailbox, step, act, who.shownName());
    }
}
