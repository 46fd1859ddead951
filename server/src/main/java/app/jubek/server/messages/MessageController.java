package app.jubek.server.messages;

import app.jubek.core.criteria.Trait;
import app.jubek.core.message.Attachment;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.message.Role;
import app.jubek.core.wording.Statement;
import app.jubek.server.account.Allowed;
import app.jubek.server.folders.FolderNames;
import app.jubek.server.intake.MessageLine;
import app.jubek.server.intake.Messages;
import app.jubek.server.intake.StoredDecision;
import app.jubek.server.intake.Whereabouts;
import app.jubek.server.platform.Refused;
import app.jubek.server.queue.Outbox;
import app.jubek.server.step.StepView;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** One message: its text, and what happened to it and why. */
@RestController
class MessageController {
    private static final String MAIL_POLICY =
            "sandbox; default-src 'none'; style-src 'unsafe-inline'; img-src data:; frame-ancestors 'self'";

    private final Messages messages;
    private final Outbox outbox;
    private final Whereabouts whereabouts;
    private final FolderNames folders;
    private final ShownHtml shownHtml = new ShownHtml();

    MessageController(Messages messages, Outbox outbox, Whereabouts whereabouts, FolderNames folders) {
        this.folders = folders;
        this.messages = messages;
        this.outbox = outbox;
        this.whereabouts = whereabouts;
    }

    record Correspondent(String name, String address) {}

    record MessageDetails(
            MessageLine line,
            List<Correspondent> from,
            List<Correspondent> to,
            List<Correspondent> cc,
            List<String> texts,
            boolean hasHtml,
            List<Attachment> attachments,
            List<Statement> sentBy,
            Optional<StoredDecision> decision,
            Optional<Messages.Repeats> repeats,
            List<StepView> steps) {}

    /** The folders of the mailbox, and those that mail is known to lie in. */
    @GetMapping("/api/mailboxes/{mailbox}/folders")
    List<String> folders(@Allowed UUID mailbox) {
        return Stream.concat(folders.of(mailbox).stream(), whereabouts.folders(mailbox).stream())
                .distinct()
                .sorted()
                .toList();
    }

    @GetMapping("/api/mailboxes/{mailbox}/messages/{id}")
    MessageDetails message(@Allowed UUID mailbox, @PathVariable long id) {
        Messages.Opened opened = messages.open(mailbox, id);
        ReadMessage read = opened.message();
        List<Long> one = List.of(id);
        return new MessageDetails(
                messages.lines(mailbox, one).get(id),
                correspondents(read, Role.FROM),
                correspondents(read, Role.TO),
                correspondents(read, Role.CC),
                read.texts(),
                read.html().isPresent(),
                read.attachments(),
                read.sentBy().stream()
                        .sorted()
                        .map(by -> new Trait.Sent(by).statement())
                        .toList(),
                opened.decision(),
                opened.repeats(),
                outbox.ofMessages(mailbox, one).getOrDefault(id, List.of()));
    }

    /** The HTML body, cleaned, for a sandboxed frame: no scripts, forms or anything from outside. */
    @GetMapping(value = "/api/mailboxes/{mailbox}/messages/{id}/html", produces = MediaType.TEXT_HTML_VALUE)
    ResponseEntity<byte[]> html(@Allowed UUID mailbox, @PathVariable long id) {
        String html = messages.open(mailbox, id).message().html().orElseThrow(Refused::notFound);
        return ResponseEntity.ok()
                .contentType(new MediaType("text", "html", StandardCharsets.UTF_8))
                .header("Content-Security-Policy", MAIL_POLICY)
                .body(shownHtml.page(html).getBytes(StandardCharsets.UTF_8));
    }

    private static List<Correspondent> correspondents(ReadMessage message, Role role) {
        return message.in(role).stream()
                .limit(50)
                .map(a -> new Correspondent(a.name(), a.address()))
                .toList();
    }
}
