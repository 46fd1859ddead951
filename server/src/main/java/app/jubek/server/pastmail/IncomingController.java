package app.jubek.server.pastmail;

import app.jubek.core.corpus.Corpus;
import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.MessagePart;
import app.jubek.core.criteria.TextCriterion;
import app.jubek.core.matching.Folding;
import app.jubek.formats.rulebook.RuleBookJson;
import app.jubek.server.account.Allowed;
import app.jubek.server.intake.MessageLine;
import app.jubek.server.intake.Messages;
import app.jubek.server.queue.Outbox;
import app.jubek.server.queue.StepView;
import io.swagger.v3.oas.annotations.media.ArraySchema;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** Messages of the evidence window, newest first; plain words are looked for in subject and text. */
@RestController
class IncomingController {
    private static final int MAX_LIMIT = 200;

    private final PastMail pastMail;
    private final Messages messages;
    private final Outbox outbox;

    IncomingController(PastMail pastMail, Messages messages, Outbox outbox) {
        this.pastMail = pastMail;
        this.messages = messages;
        this.outbox = outbox;
    }

    record IncomingView(int messages, int found, List<IncomingLine> lines) {}

    record IncomingLine(MessageLine message, List<StepView> steps) {}

    /**
     * @param words looked for in subject and text; empty for none
     * @param criteria all of which must hold
     */
    record MessagesAsked(
            String words,

            @ArraySchema(schema = @Schema(ref = "#/components/schemas/Criterion"))
            List<JsonNode> criteria,

            int days,
            int offset,
            int limit) {}

    @PostMapping("/api/mailboxes/{mailbox}/messages/search")
    IncomingView list(@Allowed UUID mailbox, @RequestBody MessagesAsked asked) {
        Corpus.View past = pastMail.window(mailbox, asked.days()).past();
        List<Criterion> criteria = new ArrayList<>(
                asked.criteria().stream().map(RuleBookJson::readCriterion).toList());
        if (!Folding.fold(asked.words()).isBlank()) {
            criteria.add(TextCriterion.phrases(MessagePart.Kind.SUBJECT_OR_TEXT, List.of(asked.words())));
        }
        List<Long> ids = matching(past, criteria);
        List<Long> page = ids.stream()
                .skip(Math.max(asked.offset(), 0))
                .limit(Math.min(Math.max(asked.limit(), 1), MAX_LIMIT))
                .toList();
        Map<Long, MessageLine> lines = messages.lines(mailbox, page);
        Map<Long, List<StepView>> steps = outbox.ofMessages(mailbox, page);
        List<IncomingLine> shown = page.stream()
                .filter(lines::containsKey)
                .map(id -> new IncomingLine(lines.get(id), steps.getOrDefault(id, List.of())))
                .toList();
        return new IncomingView(past.size(), ids.size(), shown);
    }

    private static List<Long> matching(Corpus.View past, List<Criterion> criteria) {
        List<Long> ids = new ArrayList<>();
        for (int at = past.size() - 1; at >= 0; at--) {
            int place = at;
            if (criteria.stream().allMatch(criterion -> criterion.holds(past.hits(place)))) {
                ids.add(past.message(at).id());
            }
        }
        return ids;
    }
}
