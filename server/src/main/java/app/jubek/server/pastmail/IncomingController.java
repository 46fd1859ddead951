package app.jubek.server.pastmail;

import app.jubek.core.corpus.Corpus;
import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.MessagePart;
import app.jubek.core.criteria.TextCriterion;
import app.jubek.core.evidence.PastRun;
import app.jubek.core.matching.Folding;
import app.jubek.formats.rulebook.RuleBookJson;
import app.jubek.server.account.Allowed;
import app.jubek.server.intake.MessageLine;
import app.jubek.server.intake.MessageStatus;
import app.jubek.server.intake.Messages;
import app.jubek.server.pastmail.WhatHappened.Happened;
import app.jubek.server.queue.Outbox;
import app.jubek.server.step.StepView;
import io.swagger.v3.oas.annotations.media.ArraySchema;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.IntPredicate;
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
    private final WhatHappened whatHappened;

    IncomingController(PastMail pastMail, Messages messages, Outbox outbox, WhatHappened whatHappened) {
        this.whatHappened = whatHappened;
        this.pastMail = pastMail;
        this.messages = messages;
        this.outbox = outbox;
    }

    record IncomingView(int messages, int found, List<IncomingLine> lines) {}

    /**
     * @param today of past mail: the rules that would pick it as they are now
     */
    record IncomingLine(MessageLine message, List<StepView> steps, List<WhatHappened.Today> today) {}

    /**
     * @param words looked for in subject and text; empty for none
     * @param criteria all of which must hold
     * @param rule that picks the messages as it is now
     */
    record MessagesAsked(
            String words,

            @ArraySchema(schema = @Schema(ref = "#/components/schemas/Criterion"))
            List<JsonNode> criteria,

            Optional<Happened> happened,
            Optional<String> rule,
            int days,
            int offset,
            int limit) {}

    @PostMapping("/api/mailboxes/{mailbox}/messages/search")
    IncomingView list(@Allowed UUID mailbox, @RequestBody MessagesAsked asked) {
        PastMail.Window window = pastMail.window(mailbox, asked.days());
        Corpus.View past = window.past();
        List<Criterion> criteria = new ArrayList<>(
                asked.criteria().stream().map(RuleBookJson::readCriterion).toList());
        if (!Folding.fold(asked.words()).isBlank()) {
            criteria.add(TextCriterion.phrases(MessagePart.Kind.SUBJECT_OR_TEXT, List.of(asked.words())));
        }
        List<Integer> found = matching(
                past, criteria, whatHappened.sought(window, asked.happened().orElse(Happened.ANYTHING), asked.rule()));
        List<Integer> places = found.stream()
                .skip(Math.max(asked.offset(), 0))
                .limit(Math.min(Math.max(asked.limit(), 1), MAX_LIMIT))
                .toList();
        List<Long> page = places.stream().map(at -> past.message(at).id()).toList();
        Map<Long, MessageLine> lines = messages.lines(mailbox, page);
        Map<Long, List<StepView>> steps = outbox.ofMessages(mailbox, page);
        PastRun today = WhatHappened.today(window);
        List<IncomingLine> shown = places.stream()
                .filter(at -> lines.containsKey(past.message(at).id()))
                .map(at -> {
                    MessageLine line = lines.get(past.message(at).id());
                    boolean isPast = line.status() == MessageStatus.PAST;
                    return new IncomingLine(
                            line,
                            steps.getOrDefault(line.id(), List.of()),
                            isPast ? WhatHappened.Today.of(today, at) : List.of());
                })
                .toList();
        return new IncomingView(past.size(), found.size(), shown);
    }

    /** Places, the newest first. */
    private static List<Integer> matching(Corpus.View past, List<Criterion> criteria, IntPredicate sought) {
        List<Integer> places = new ArrayList<>();
        for (int at = past.size() - 1; at >= 0; at--) {
            int place = at;
            if (criteria.stream().allMatch(criterion -> criterion.holds(past.hits(place))) && sought.test(at)) {
                places.add(at);
            }
        }
        return places;
    }
}
