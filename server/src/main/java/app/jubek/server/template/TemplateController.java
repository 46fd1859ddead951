package app.jubek.server.template;

import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.step.Step;
import app.jubek.core.template.Field;
import app.jubek.core.template.Template;
import app.jubek.core.template.TemplateFault;
import app.jubek.core.template.TemplateId;
import app.jubek.core.wording.Statement;
import app.jubek.server.account.Allowed;
import app.jubek.server.account.SignedIn;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.platform.Refused;
import app.jubek.server.rulebook.RuleBooks;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Prepared answers: written, looked over, and seen as a recipient will see them. */
@RestController
class TemplateController {
    private final Templates templates;
    private final RuleBooks books;
    private final Mailboxes mailboxes;
    private final Clock clock;

    TemplateController(Templates templates, RuleBooks books, Mailboxes mailboxes, Clock clock) {
        this.templates = templates;
        this.books = books;
        this.mailboxes = mailboxes;
        this.clock = clock;
    }

    /**
     * @param usedBy names of the rules that answer from it
     */
    record TemplateView(
            String id,
            int version,
            TemplateText written,
            List<TemplateFault> faults,
            List<String> usedBy,
            Instant savedAt,
            String savedBy) {}

    record FieldView(String key, Statement name, boolean canBeMissing) {}

    record TemplatesView(List<TemplateView> templates, List<FieldView> fields) {}

    @GetMapping("/api/mailboxes/{mailbox}/templates")
    TemplatesView templates(@Allowed UUID mailbox) {
        RuleBook book = books.current(mailbox).book();
        List<FieldView> fields = Arrays.stream(Field.values())
                .map(f -> new FieldView(f.key(), f.with(), f.canBeMissing()))
                .toList();
        return new TemplatesView(
                templates.current(mailbox).stream()
                        .map(saved -> view(saved, book, mailbox))
                        .toList(),
                fields);
    }

    /** All versions, the newest first. */
    @GetMapping("/api/mailboxes/{mailbox}/templates/{template}/versions")
    List<TemplateView> versions(@Allowed UUID mailbox, @PathVariable String template) {
        RuleBook book = books.current(mailbox).book();
        return templates.versions(mailbox, new TemplateId(template)).stream()
                .map(saved -> view(saved, book, mailbox))
                .toList();
    }

    record TemplateSaving(int baseVersion, TemplateText written) {}

    @PutMapping("/api/mailboxes/{mailbox}/templates/{template}")
    TemplateView save(
            @AuthenticationPrincipal SignedIn who,
            @Allowed UUID mailbox,
            @PathVariable String template,
            @RequestBody TemplateSaving saving) {
        Saved next = new Saved(
                saving.written().template(new TemplateId(template), saving.baseVersion() + 1),
                saving.written().lookAgainOn(),
                clock.instant(),
                who.shownName());
        templates.save(mailbox, saving.baseVersion(), next);
        return view(next, books.current(mailbox).book(), mailbox);
    }

    /** Refused while a rule answers from it. */
    @DeleteMapping("/api/mailboxes/{mailbox}/templates/{template}")
    void remove(
            @AuthenticationPrincipal SignedIn who,
            @Allowed UUID mailbox,
            @PathVariable String template,
            @RequestParam(defaultValue = "0") int baseVersion) {
        Saved last = templates.versions(mailbox, new TemplateId(template)).stream()
                .findFirst()
                .orElseThrow(Refused::notFound);
        List<String> users = usedBy(books.current(mailbox).book(), last.template());
        if (!users.isEmpty()) {
            throw Refused.conflict(
                    "It is used by " + String.join(", ", users) + ": give them another template first.", Map.of());
        }
        Template next = last.template().as(baseVersion + 1);
        templates.remove(mailbox, baseVersion, new Saved(next, last.lookAgainOn(), clock.instant(), who.shownName()));
    }

    private TemplateView view(Saved saved, RuleBook book, UUID mailbox) {
        Template template = saved.template();
        return new TemplateView(
                template.id().value(),
                template.version(),
                TemplateText.of(saved),
                template.faults(today(mailbox), templates.of(mailbox)),
                usedBy(book, template),
                saved.at(),
                saved.by());
    }

    private LocalDate today(UUID mailbox) {
        return LocalDate.ofInstant(clock.instant(), mailboxes.find(mailbox).zone());
    }

    private static List<String> usedBy(RuleBook book, Template template) {
        return book.all().stream()
                .filter(rule ->
                        rule.steps().stream().anyMatch(step -> templates(step).contains(template.id())))
                .map(Rule::name)
                .toList();
    }

    private static List<TemplateId> templates(Step step) {
        return step instanceof Step.Reply reply
                ? reply.options().templates(reply.template())
                : step instanceof Step.Forward forward
                        ? forward.options().template().stream().toList()
                        : List.of();
    }
}
