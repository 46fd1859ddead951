package app.jubek.server.records;

import app.jubek.core.message.Attachment;
import app.jubek.core.message.MessageReading;
import app.jubek.core.message.Octets;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.outgoing.AsReceived;
import app.jubek.core.text.Limits;
import app.jubek.server.account.MailboxAccess;
import app.jubek.server.account.SignedIn;
import app.jubek.server.delivery.FrozenMail;
import app.jubek.server.delivery.Outbox;
import app.jubek.server.delivery.StepView;
import app.jubek.server.intake.MessageLine;
import app.jubek.server.intake.Messages;
import app.jubek.server.intake.ShownHtml;
import app.jubek.server.platform.AsWritten;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.annotation.JsonSerialize;

/** Messages as they went out, and what became of all answers to one writer. */
@RestController
class SentController {
    /** Of the raw source as many octets are shown. */
    private static final int SHOWN = 200_000;

    private static final int MOST_ANSWERS = 100;

    private final FrozenMail frozen;
    private final Outbox outbox;
    private final Messages messages;
    private final MailboxAccess access;
    private final MessageReading reading = new MessageReading(Limits.standard());
    private final ShownHtml html = new ShownHtml();

    SentController(FrozenMail frozen, Outbox outbox, Messages messages, MailboxAccess access) {
        this.frozen = frozen;
        this.outbox = outbox;
        this.messages = messages;
        this.access = access;
    }

    /**
     * @param page the rich form as a page; empty where it has none
     * @param raw its source, or the beginning of it
     * @param size octets in all
     */
    record SentView(
            AsReceived shown,
            List<String> texts,
            String page,
            List<Attachment> attachments,
            @JsonSerialize(using = AsWritten.class) String raw,
            long size) {}

    @GetMapping("/api/mailboxes/{mailbox}/steps/{step}/sent")
    SentView sent(@AuthenticationPrincipal SignedIn who, @PathVariable UUID mailbox, @PathVariable UUID step) {
        access.check(who, mailbox);
        Octets octets = frozen.of(mailbox, step);
        try (InputStream in = octets.open();
                InputStream again = octets.open()) {
            ReadMessage message = reading.read(in);
            return new SentView(
                    AsReceived.of(message),
                    message.texts(),
                    message.html().isEmpty() ? "" : html.page(message.html().get(), InlinePictures.of(octets)),
                    message.attachments(),
                    new String(again.readNBytes(SHOWN), StandardCharsets.UTF_8),
                    octets.size());
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    /**
     * @param message what was answered, or not
     */
    record AnswerView(StepView step, MessageLine message) {}

    @GetMapping("/api/mailboxes/{mailbox}/answers")
    List<AnswerView> answers(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID mailbox,
            @RequestParam(defaultValue = "") String writer) {
        access.check(who, mailbox);
        List<StepView> steps = outbox.answersTo(mailbox, writer, MOST_ANSWERS);
        Map<Long, MessageLine> lines = messages.lines(
                mailbox, steps.stream().map(StepView::message).distinct().toList());
        return steps.stream()
                .map(step -> new AnswerView(step, lines.get(step.message())))
                .toList();
    }
}
