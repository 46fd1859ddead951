package app.jubek.server.trial;

import app.jubek.core.address.MailAddress;
import app.jubek.core.criteria.Trait;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.rule.RuleId;
import app.jubek.core.sample.SampleMessage;
import app.jubek.core.trial.Expectation;
import app.jubek.core.trial.Names;
import app.jubek.core.wording.Statement;
import app.jubek.formats.rulebook.RuleBookJson;
import app.jubek.formats.trial.WrittenTrial;
import app.jubek.server.account.Allowed;
import app.jubek.server.account.SignedIn;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.platform.Refused;
import app.jubek.server.rulebook.RuleBooks;
import app.jubek.server.template.Templates;
import app.jubek.server.testmail.TestMail;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** Kept messages with what must happen to them. */
@RestController
class TrialController {
    private final Trials trials;
    private final TrialRuns runs;
    private final MissingTrials missing;
    private final NewTrials making;
    private final RuleBooks books;
    private final Templates templates;
    private final Mailboxes mailboxes;
    private final TestMail tests;

    TrialController(
            Trials trials,
            TrialRuns runs,
            MissingTrials missing,
            NewTrials making,
            RuleBooks books,
            Templates templates,
            Mailboxes mailboxes,
            TestMail tests) {
        this.trials = trials;
        this.runs = runs;
        this.missing = missing;
        this.making = making;
        this.books = books;
        this.templates = templates;
        this.mailboxes = mailboxes;
        this.tests = tests;
    }

    /**
     * @param ranAt when they were run last; anything that changes makes them run
     * @param rules in their order
     * @param others trials that stand with no rule that there is now
     */
    record TrialsView(
            Instant ranAt,
            int kept,
            int differing,
            List<TrialViews.RuleTrials> rules,
            List<TrialViews.TrialLine> others) {}

    /** All of them with what they come to, and the cases of each rule; no messages are proposed here. */
    @GetMapping("/api/mailboxes/{mailbox}/trials")
    TrialsView trials(@Allowed UUID mailbox) {
        TrialRuns.Run run = runs.current(mailbox);
        RuleBook book = books.current(mailbox).book();
        Names names = names(mailbox, book);
        List<TrialViews.TrialLine> lines =
                run.tried().stream().map(tried -> TrialViews.line(tried, names)).toList();
        Map<String, List<TrialViews.TrialLine>> byRule = lines.stream()
                .filter(line -> line.rule().isPresent())
                .collect(Collectors.groupingBy(line -> line.rule().orElseThrow()));
        return new TrialsView(
                run.at(),
                lines.size(),
                (int) run.differing(),
                missing.covered(mailbox, book).stream()
                        .map(coverage -> TrialViews.rule(coverage, byRule, names))
                        .toList(),
                lines.stream()
                        .filter(line -> line.rule()
                                .flatMap(id -> book.find(new RuleId(id)))
                                .isEmpty())
                        .toList());
    }

    /** The cases of a rule, with a message for each that no trial shows. */
    @GetMapping("/api/mailboxes/{mailbox}/trials/missing")
    List<TrialViews.CaseView> missingTrials(
            @Allowed UUID mailbox, @RequestParam String rule, @RequestParam(defaultValue = "90") int days) {
        MissingTrials.Looked looked = missing.in(mailbox, days);
        Names names = names(mailbox, looked.window().book());
        return looked.coverage(new RuleId(rule)).cases().stream()
                .map(one -> TrialViews.view(one, names, looked::message))
                .toList();
    }

    /**
     * @param differing how many do not hold
     */
    record TrialCounts(int kept, int differing) {}

    @GetMapping("/api/mailboxes/{mailbox}/trials/counts")
    TrialCounts trialCounts(@Allowed UUID mailbox) {
        TrialRuns.Run run = runs.current(mailbox);
        return new TrialCounts(run.tried().size(), (int) run.differing());
    }

    /**
     * @param rule the rule as it is being made, or else its id
     * @param order where among the rules it is to be
     * @param message a past message, or else a sample message
     * @param picked what must be: that the rule picks it, or that it does not
     */
    record TrialKeeping(
            @Schema(ref = "#/components/schemas/Rule") Optional<JsonNode> rule,
            int order,
            Optional<String> ruleId,
            Optional<Long> message,
            Optional<SampleMessage> sample,
            boolean picked) {}

    record KeptView(String id) {}

    @PostMapping("/api/mailboxes/{mailbox}/trials")
    KeptView keepTrial(
            @AuthenticationPrincipal SignedIn who, @Allowed UUID mailbox, @RequestBody TrialKeeping keeping) {
        NewTrials.OfRule of = keeping.rule()
                .filter(JsonNode::isObject)
                .map(rule -> making.draft(mailbox, RuleBookJson.readDraft(rule).rule(), keeping.order()))
                .orElseGet(
                        () -> making.live(mailbox, new RuleId(keeping.ruleId().orElse(""))));
        UUID id = keeping.message()
                .map(message -> making.keep(of, message, keeping.picked(), who.shownName()))
                .or(() -> keeping.sample().map(made -> making.keep(of, made, keeping.picked(), who.shownName())))
                .orElseThrow(() -> Refused.invalid("Say which message, or write one.", List.of()));
        return new KeptView(id.toString());
    }

    /**
     * @param cases keys of the cases whose proposals are kept
     */
    record CasesKeeping(String rule, List<String> cases, int days) {}

    record CasesKept(int kept) {}

    @PostMapping("/api/mailboxes/{mailbox}/trials/missing")
    CasesKept keepMissing(
            @AuthenticationPrincipal SignedIn who, @Allowed UUID mailbox, @RequestBody CasesKeeping keeping) {
        return new CasesKept(
                missing.keep(mailbox, keeping.days(), new RuleId(keeping.rule()), keeping.cases(), who.shownName()));
    }

    /**
     * @param hits which of the phrases and addresses that its rule lists the message has
     * @param changes what was changed since it held last; empty when it holds, or never held
     * @param changedBy who changed it last since then
     */
    record TrialDetails(
            TrialViews.TrialLine line,
            TrialText written,
            List<String> attachments,
            List<Statement> sentBy,
            boolean conversation,
            List<String> hits,
            List<Statement> changes,
            Optional<Instant> changedAt,
            Optional<String> changedBy) {}

    @GetMapping("/api/mailboxes/{mailbox}/trials/{trial}")
    TrialDetails trial(@Allowed UUID mailbox, @PathVariable UUID trial) {
        TrialRuns.Run run = runs.current(mailbox);
        TrialRuns.Tried tried = run.tried().stream()
                .filter(each -> each.kept().id().equals(trial))
                .findFirst()
                .orElseThrow(Refused::notFound);
        RuleBooks.Versioned book = books.current(mailbox);
        ReadMessage message = trials.message(tried.kept());
        Since since = Since.itHeld(tried, book, version -> books.version(mailbox, version));
        return new TrialDetails(
                TrialViews.line(tried, names(mailbox, book.book())),
                TrialText.of(message),
                message.attachments().stream().map(file -> file.name()).toList(),
                message.sentBy().stream()
                        .sorted()
                        .map(by -> new Trait.Sent(by).statement())
                        .toList(),
                tried.kept().written().conversation(),
                making.hits(tried, book.book()),
                since.changes(),
                since.at(),
                since.by());
    }

    record WantedView(Expectation.Fate fate, String of, boolean must) {}

    /**
     * @param text of its message written anew; as it is where it is empty
     */
    record TrialChange(String name, Instant at, List<WantedView> expected, Optional<TrialText> text) {}

    @PutMapping("/api/mailboxes/{mailbox}/trials/{trial}")
    void changeTrial(@Allowed UUID mailbox, @PathVariable UUID trial, @RequestBody TrialChange change) {
        KeptTrial kept = trials.find(mailbox, trial);
        if (change.expected().isEmpty()) {
            throw Refused.invalid("Say what must happen to the message, or what must not.", List.of());
        }
        WrittenTrial next = new WrittenTrial(
                MissingTrials.name(change.name()),
                change.at(),
                kept.written().conversation(),
                change.expected().stream()
                        .map(each -> new Expectation(each.fate(), each.of(), each.must()))
                        .toList());
        change.text()
                .ifPresentOrElse(
                        text -> trials.change(mailbox, trial, next, text.copy().of(trials.message(kept))),
                        () -> trials.change(mailbox, trial, next));
    }

    /** What happens to its message now is what must happen from now on. */
    @PostMapping("/api/mailboxes/{mailbox}/trials/{trial}/accepted")
    void acceptTrial(@Allowed UUID mailbox, @PathVariable UUID trial) {
        making.accept(mailbox, trial);
    }

    /** Its message with names, addresses and long numbers taken out; nothing is kept. */
    @PostMapping("/api/mailboxes/{mailbox}/trials/{trial}/blanked")
    TrialText blanked(@Allowed UUID mailbox, @PathVariable UUID trial) {
        ReadMessage message = trials.message(trials.find(mailbox, trial));
        return TrialText.blanked(message, mailboxes.find(mailbox).own());
    }

    @DeleteMapping("/api/mailboxes/{mailbox}/trials/{trial}")
    void removeTrial(@Allowed UUID mailbox, @PathVariable UUID trial) {
        trials.remove(mailbox, trial);
    }

    record PersonsTrial(String id, String name, Instant madeAt) {}

    /** The trials whose messages name an address. */
    @GetMapping("/api/mailboxes/{mailbox}/trials/of-person")
    List<PersonsTrial> trialsOfPerson(@Allowed UUID mailbox, @RequestParam String address) {
        return trials.ofPerson(mailbox, MailAddress.of(address)).stream()
                .map(kept ->
                        new PersonsTrial(kept.id().toString(), kept.written().name(), kept.madeAt()))
                .toList();
    }

    /** Erases them, and with them all that trials and real tests keep of that person. */
    @DeleteMapping("/api/mailboxes/{mailbox}/trials/of-person")
    void eraseTrialsOfPerson(@Allowed UUID mailbox, @RequestParam String address) {
        List<KeptTrial> named = trials.ofPerson(mailbox, MailAddress.of(address));
        tests.erase(mailbox, named.stream().map(KeptTrial::id).toList());
        named.forEach(kept -> trials.remove(mailbox, kept.id()));
    }

    private Names names(UUID mailbox, RuleBook book) {
        return new Names(book, templates.of(mailbox));
    }
}
