package app.jubek.server.intake;

import app.jubek.core.message.Attachment;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.message.Role;
import app.jubek.core.message.SentBy;
import app.jubek.server.account.MailboxAccess;
import app.jubek.server.account.SignedIn;
import app.jubek.server.delivery.Outbox;
import app.jubek.server.delivery.StepView;
import app.jubek.server.platform.Refused;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** One message: its text, and what happened to it and why. */
@RestController
class MessageController {
    private static final String MAIL_POLICY =
            "sandbox; default-src 'none'; style-src 'unsafe-inline'; img-src data:; frame-ancestors 'self'";

    private final MessageRepository messages;
    private final Messages stored;
    private final Outbox outbox;
    private final Whereabouts whereabouts;
    private final MailboxAccess access;
    private final ShownHtml shownHtml = new ShownHtml();

    MessageController(
            MessageRepository messages, Messages stored, Outbox outbox, Whereabouts whereabouts, MailboxAccess access) {
        this.messages = messages;
        this.stored = stored;
        this.outbox = outbox;
        this.whereabouts = whereabouts;
        this.access = access;
    }

    record Correspondent(String name, String address) {}

    record MessageView(
            MessageLine line,
            List<Correspondent> from,
            List<Correspondent> to,
            List<Correspondent> cc,
            List<String> texts,
            boolean hasHtml,
            List<Attachment> attachments,
            List<String> sentBy,
            Optional<StoredDecision> decision,
            List<StepView> steps) {}

    /** Folders that mail is known to lie in. */
    @GetMapping("/api/mailboxes/{mailbox}/folders")
    List<String> folders(@AuthenticationPrincipal SignedIn who, @PathVariable UUID mailbox) {
        access.check(who, mailbox);
        return whereabouts.folders(mailbox).stream().sorted().toList();
    }

    @GetMapping("/api/mailboxes/{mailbox}/messages/{id}")
    MessageView message(@AuthenticationPrincipal SignedIn who, @PathVariable UUID mailbox, @PathVariable long id) {
        access.check(who, mailbox);
        MessageEntity found = messages.findByIdAndMailboxId(id, mailbox).orElseThrow(Refused::notFound);
        ReadMessage read = stored.readAsFarAsPossible(id);
        List<Long> one = List.of(id);
        return new MessageView(
                stored.lines(mailbox, one).get(id),
                correspondents(read, Role.FROM),
                correspondents(read, Role.TO),
                correspondents(read, Role.CC),
                read.texts(),
                read.html().isPresent(),
                read.attachments(),
                read.sentBy().stream().map(SentBy::words).sorted().toList(),
                found.decision(),
                outbox.ofMessages(mailbox, one).getOrDefault(id, List.of()));
    }

    /** The HTML body, cleaned, for a sandboxed frame: no scripts, forms or anything from outside. */
    @GetMapping(value = "/api/mailboxes/{mailbox}/messages/{id}/html", produces = MediaType.TEXT_HTML_VALUE)
    ResponseEntity<byte[]> html(
            @AuthenticationPrincipal SignedIn who, @PathVariable UUID mailbox, @PathVariable long id) {
        access.check(who, mailbox);
        messages.findByIdAndMailboxId(id, mailbox).orElseThrow(Refused::notFound);
        String html = stored.readAsFarAsPossible(id).html().orElseThrow(Refused::notFound);
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
