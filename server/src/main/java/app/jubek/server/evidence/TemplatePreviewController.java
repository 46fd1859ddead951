package app.jubek.server.evidence;

import app.jubek.core.address.MailAddress;
import app.jubek.core.corpus.PastMessage;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.step.Step;
import app.jubek.core.template.Filling;
import app.jubek.core.template.Template;
import app.jubek.core.template.TemplateFault;
import app.jubek.core.template.TemplateId;
import app.jubek.server.account.SignedIn;
import app.jubek.server.template.TemplateText;
import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** A template, saved or not, as the writers of past messages would get it. */
@RestController
class TemplatePreviewController {
    private final PastMail pastMail;

    TemplatePreviewController(PastMail pastMail) {
        this.pastMail = pastMail;
    }

    /**
     * @param message of the evidence window
     */
    record PreviewAsked(TemplateText written, int days, long message) {
        PreviewAsked {
            written = Objects.requireNonNullElse(written, TemplateText.empty());
        }
    }

    /**
     * @param to whom the answer would go to; empty where there is nobody to answer
     */
    record Preview(String subject, String text, Optional<String> to, List<TemplateFault> faults) {}

    @PostMapping("/api/mailboxes/{mailbox}/template-preview")
    Preview preview(
            @AuthenticationPrincipal SignedIn who, @PathVariable UUID mailbox, @RequestBody PreviewAsked asked) {
        PastMail.Window window = pastMail.window(who, mailbox, asked.days());
        PastMessage past = window.past().message(window.place(asked.message()));
        ReadMessage message = past.message();
        Template template = asked.written().template(new TemplateId("preview"), 1);
        Template.Filled filled = template.fill(new Filling(
                message,
                window.mailbox().own(),
                past.received(),
                window.mailbox().zone()));
        Step.Reply answer = new Step.Reply(filled.subject(), filled.text(), Step.Reply.ONCE_PER);
        LocalDate today = LocalDate.ofInstant(window.now(), window.mailbox().zone());
        return new Preview(
                answer.subjectTo(message.subject()),
                answer.text(),
                message.returnPath().address().map(MailAddress::address),
                template.faults(today));
    }
}
