package app.jubek.server.messages;

import app.jubek.core.message.Attachment;
import app.jubek.core.message.ByteSource;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.reading.MessageReading;
import app.jubek.core.text.Limits;
import app.jubek.core.view.AsReceived;
import app.jubek.server.account.Allowed;
import app.jubek.server.http.AsWritten;
import app.jubek.server.intake.MessageLine;
import app.jubek.server.intake.Messages;
import app.jubek.server.outgoing.FrozenMail;
import app.jubek.server.queue.Outbox;
import app.jubek.server.step.StepView;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.annotation.JsonSerialize;

/** Messages as they went out, and what became of all answers to one sender. */
@RestController
class SentController {
    /** Of the raw source as many bytes are shown. */
    private static final int SHOWN = 200_000;

    private static final int MOST_ANSWERS = 100;

    private final FrozenMail frozen;
    private final Outbox outbox;
    private final Messages messages;
    private final MessageReading reading = new MessageReading(Limits.standard());
    private final ShownHtml html = new ShownHtml();

    SentController(FrozenMail frozen, Outbox outbox, Messages messages) {
        this.frozen = frozen;
        this.outbox = outbox;
        this.messages = messages;
    }

    /**
     * @param page the rich form as a page; empty where it has none
     * @param raw its source, or the beginning of it
     * @param size bytes in all
     */
    record SentView(
            AsReceived shown,
            List<String> texts,
            String page,
            List<Attachment> attachments,
            @JsonSerialize(using = AsWritten.class) String raw,
            long size) {}

    @GetMapping("/api/mailboxes/{mailbox}/steps/{step}/sent")
    SentView sent(@Allowed UUID mailbox, @PathVariable UUID step) {
        StepView found = outbox.step(mailbox, step);
        ByteSource bytes = frozen.of(found.id(), found.kind(), found.message());
        try (InputStream in = bytes.open();
                InputStream again = bytes.open()) {
            ReadMessage message = reading.read(in);
            return new SentView(
                    AsReceived.of(message),
                    message.texts(),
                    message.html().isEmpty() ? "" : html.page(message.html().get(), InlinePictures.of(bytes)),
                    message.attachments(),
                    new String(again.readNBytes(SHOWN), StandardCharsets.UTF_8),
                    bytes.size());
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    /**
     * @param message what was answered, or not
     */
    record AnswerView(StepView step, MessageLine message) {}

    @GetMapping("/api/mailboxes/{mailbox}/answers")
    List<AnswerView> answers(@Allowed UUID mailbox, @RequestParam(defaultValue = "") String sender) {
        List<StepView> steps = outbox.answersTo(mailbox, sender, MOST_ANSWERS);
        Map<Long, MessageLine> lines = messages.lines(
                mailbox, steps.stream().map(StepView::message).distinct().toList());
        return steps.stream()
                .map(step -> new AnswerView(step, lines.get(step.message())))
                .toList();
    }
}
