package app.jubek.server.absence;

import app.jubek.core.absence.Absence;
import app.jubek.core.absence.Audience;
import app.jubek.core.absence.OnReturn;
import app.jubek.core.absence.Standing;
import app.jubek.core.absence.TakingOver;
import app.jubek.core.address.MailAddress;
import app.jubek.core.rule.RuleId;
import app.jubek.core.template.TemplateId;
import app.jubek.core.wording.Statement;
import app.jubek.server.account.Allowed;
import app.jubek.server.account.SignedIn;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.platform.Refused;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** When the person of a mailbox is away. */
@RestController
class AbsenceController {
    private final Absences absences;
    private final AbsenceEvidence evidence;
    private final Returns returns;
    private final Mailboxes mailboxes;

    AbsenceController(Absences absences, AbsenceEvidence evidence, Returns returns, Mailboxes mailboxes) {
        this.absences = absences;
        this.evidence = evidence;
        this.returns = returns;
        this.mailboxes = mailboxes;
    }

    /**
     * @param rules whose mail is handed over, where that is chosen
     * @param daysBefore the substitute is told so many days before
     */
    record TakingOverForm(
            String address,
            Optional<String> name,
            TakingOver.Share share,
            List<String> rules,
            boolean redirected,
            int daysBefore) {}

    record AbsenceForm(
            LocalDate first,
            LocalDate last,
            Audience audience,
            List<String> groups,
            List<String> templates,
            Optional<TakingOverForm> takingOver) {}

    /**
     * @param told its days in words
     */
    record AbsenceView(
            String id,
            AbsenceForm form,
            Statement told,
            Standing standing,
            String plannedBy,
            boolean under,
            boolean over,
            List<Statement> findings) {}

    record AbsencesView(LocalDate today, List<AbsenceView> absences) {}

    record LookView(Standing standing, List<Statement> findings, AbsenceEvidence.LookedBack seen) {}

    record AbsenceSummaryView(AbsenceView absence, List<OnReturn.Writer> senders, List<Returns.ReturnLine> lines) {}

    @GetMapping("/api/mailboxes/{mailbox}/absences")
    AbsencesView absences(@Allowed UUID mailbox) {
        LocalDate today = absences.today(mailbox);
        return new AbsencesView(
                today,
                absences.of(mailbox).stream().map(each -> view(each, today)).toList());
    }

    @PostMapping("/api/mailboxes/{mailbox}/absences")
    AbsenceView planAbsence(
            @Allowed UUID mailbox, @RequestBody AbsenceForm form, @AuthenticationPrincipal SignedIn who) {
        Absence absence = read(UUID.randomUUID(), form);
        return view(absences.plan(mailbox, absence, who.shownName()), absences.today(mailbox));
    }

    @PutMapping("/api/mailboxes/{mailbox}/absences/{id}")
    AbsenceView changeAbsence(
            @Allowed UUID mailbox,
            @PathVariable UUID id,
            @RequestBody AbsenceForm form,
            @AuthenticationPrincipal SignedIn who) {
        return view(absences.change(mailbox, read(id, form), who.shownName()), absences.today(mailbox));
    }

    /** Comes back today, or calls off what has not begun. */
    @DeleteMapping("/api/mailboxes/{mailbox}/absences/{id}")
    AbsencesView endAbsence(@Allowed UUID mailbox, @PathVariable UUID id, @AuthenticationPrincipal SignedIn who) {
        absences.end(mailbox, id, who.shownName());
        return absences(mailbox);
    }

    /** What an absence would have done lately, and what speaks against it; nothing is planned. */
    @PostMapping("/api/mailboxes/{mailbox}/absences/{id}/look")
    LookView lookAtAbsence(@Allowed UUID mailbox, @PathVariable UUID id, @RequestBody AbsenceForm form) {
        Absence absence = read(id, form);
        Absences.Planned planned = absences.look(mailbox, absence);
        return new LookView(
                planned.standing(), planned.findings(), evidence.look(mailbox, absence, planned.standing()));
    }

    @GetMapping("/api/mailboxes/{mailbox}/absences/{id}/summary")
    AbsenceSummaryView absenceSummary(@Allowed UUID mailbox, @PathVariable UUID id) {
        Absences.Planned planned = absences.find(mailbox, id).orElseThrow(Refused::notFound);
        Returns.Summary summary = returns.of(mailboxes.find(mailbox), planned.absence(), planned.endedAt());
        return new AbsenceSummaryView(view(planned, absences.today(mailbox)), summary.senders(), summary.lines());
    }

    private static Absence read(UUID id, AbsenceForm form) {
        return new Absence(
                id.toString(),
                form.first(),
                form.last(),
                new Absence.Answer(
                        form.audience(),
                        form.groups(),
                        form.templates().stream().map(TemplateId::new).toList()),
                form.takingOver().map(AbsenceController::read));
    }

    private static TakingOver read(TakingOverForm form) {
        MailAddress substitute =
                MailAddress.of(form.address()).named(form.name().orElse(""));
        return new TakingOver(
                substitute,
                form.share(),
                form.rules().stream().map(RuleId::new).toList(),
                form.redirected(),
                form.daysBefore());
    }

    private static AbsenceView view(Absences.Planned planned, LocalDate today) {
        Absence absence = planned.absence();
        AbsenceForm form = new AbsenceForm(
                absence.first(),
                absence.last(),
                absence.answer().to(),
                absence.answer().groups(),
                absence.answer().templates().stream().map(TemplateId::value).toList(),
                absence.takingOver().map(AbsenceController::form));
        return new AbsenceView(
                absence.id(),
                form,
                absence.period().told(),
                planned.standing(),
                planned.plannedBy(),
                absence.period().contains(today),
                absence.isOver(today),
                planned.findings());
    }

    private static TakingOverForm form(TakingOver over) {
        return new TakingOverForm(
                over.substitute().address(),
                Optional.of(over.substitute().name()).filter(name -> !name.isBlank()),
                over.share(),
                over.rules().stream().map(RuleId::value).toList(),
                over.redirected(),
                over.daysBefore());
    }
}
