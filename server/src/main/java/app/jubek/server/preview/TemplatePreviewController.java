package app.jubek.server.preview;

import app.jubek.core.address.MailAddress;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.people.AddressBook;
import app.jubek.core.sample.SampleMessage;
import app.jubek.core.schedule.Opening;
import app.jubek.core.step.Step;
import app.jubek.core.template.Document;
import app.jubek.core.template.Filling;
import app.jubek.core.template.Letter;
import app.jubek.core.template.Prepared;
import app.jubek.core.template.Template;
import app.jubek.core.template.TemplateFault;
import app.jubek.core.template.TemplateId;
import app.jubek.core.view.MessageView;
import app.jubek.server.account.Allowed;
import app.jubek.server.addressbook.AddressBooks;
import app.jubek.server.pastmail.PastMail;
import app.jubek.server.platform.Refused;
import app.jubek.server.template.LetterPages;
import app.jubek.server.template.TemplateText;
import app.jubek.server.template.Templates;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** A template, saved or not, as the senders of messages would get it. */
@RestController
class TemplatePreviewController {
    private final PastMail pastMail;
    private final Templates templates;
    private final AddressBooks people;
    private final LetterPages pages;

    TemplatePreviewController(PastMail pastMail, Templates templates, AddressBooks people, LetterPages pages) {
        this.pastMail = pastMail;
        this.templates = templates;
        this.people = people;
        this.pages = pages;
    }

    /**
     * @param message of the evidence window
     * @param sample one written on the spot, instead
     */
    record PreviewAsked(TemplateText written, int days, Optional<Long> message, Optional<SampleMessage> sample) {}

    /**
     * @param html the rich form as a page; empty where it has none
     * @param documents names of those that go along
     * @param to whom the answer would go to; empty where there is nobody to answer
     */
    record Preview(
            String subject,
            String text,
            String html,
            List<String> documents,
            Optional<String> to,
            List<TemplateFault> faults) {}

    @PostMapping("/api/mailboxes/{mailbox}/template-preview")
    Preview preview(@Allowed UUID mailbox, @RequestBody PreviewAsked asked) {
        PastMail.Window window = pastMail.window(mailbox, asked.days());
        AddressBook book = people.of(mailbox);
        MessageView seen = asked.sample()
                .map(made -> made.view(
                        window.mailbox().own().identity(), window.mailbox().contextOfInbox(book, window.now())))
                .or(() -> asked.message()
                        .map(id -> window.past().message(window.place(id)).seen()))
                .orElseThrow(() -> Refused.invalid("Say for which message, or make one up.", List.of()));
        ReadMessage message = seen.message();
        Prepared prepared = templates.of(mailbox);
        Template template = asked.written().template(new TemplateId("preview"), 1);
        Filling filling = new Filling(
                message,
                message.sender(),
                window.mailbox().own(),
                seen.context().received(),
                window.mailbox().zone(),
                message.sender().flatMap(book::person),
                Map.of(),
                aWeek(
                        LocalDate.ofInstant(window.now(), window.mailbox().zone()),
                        window.mailbox().opening()));
        Letter letter = template.fill(filling, prepared);
        LocalDate today = LocalDate.ofInstant(window.now(), window.mailbox().zone());
        return new Preview(
                Step.Reply.subject(letter.subject(), message.subject()),
                letter.text(),
                pages.page(mailbox, letter),
                letter.documents().stream().map(Document::fileName).toList(),
                message.returnPath().address().map(MailAddress::address),
                template.faults(today, prepared));
    }

    /** Days of an absence, so that one sees how they are told. */
    private static Filling.Away aWeek(LocalDate first, Opening opening) {
        LocalDate last = first.plusDays(6);
        return new Filling.Away(Optional.of(first), Optional.of(last), opening.opensAfter(last), Optional.empty());
    }
}
