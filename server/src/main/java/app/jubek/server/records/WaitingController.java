package app.jubek.server.records;

import app.jubek.core.outgoing.EditedAnswer;
import app.jubek.server.account.Allowed;
import app.jubek.server.account.SignedIn;
import app.jubek.server.clearance.SentSoFar;
import app.jubek.server.composing.ComposedReplies;
import app.jubek.server.intake.MessageLine;
import app.jubek.server.intake.Messages;
import app.jubek.server.platform.Refused;
import app.jubek.server.queue.Outbox;
import app.jubek.server.step.StepView;
import app.jubek.server.step.Work;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** What is to leave, and waits for a person, a destination or its time. */
@RestController
class WaitingController {
    private static final int LIMIT = 500;

    private final Outbox outbox;
    private final Messages messages;
    private final SentSoFar sent;
    private final ComposedReplies composed;

    WaitingController(Outbox outbox, Messages messages, SentSoFar sent, ComposedReplies composed) {
        this.sent = sent;
        this.composed = composed;
        this.outbox = outbox;
        this.messages = messages;
    }

    /**
     * @param message what it answers or hands on
     * @param approved messages of its rule that were let go unchanged
     * @param composed of a reply that is composed from the message
     */
    record WaitingView(
            StepView step, MessageLine message, int approved, Optional<ComposedReplies.ComposedReplyView> composed) {}

    private record OfRule(String rule, Work kind) {}

    /** What has waited longest comes first. */
    @GetMapping("/api/mailboxes/{mailbox}/waiting")
    List<WaitingView> allWaiting(@Allowed UUID mailbox) {
        List<StepView> steps = outbox.waiting(mailbox, LIMIT);
        Map<Long, MessageLine> lines = messages.lines(
                mailbox, steps.stream().map(StepView::message).distinct().toList());
        Map<UUID, ComposedReplies.ComposedReplyView> found =
                composed.of(mailbox, steps.stream().map(StepView::id).toList());
        Map<OfRule, Integer> approved = new HashMap<>();
        return steps.stream()
                .map(step -> new WaitingView(
                        step,
                        lines.get(step.message()),
                        approved.computeIfAbsent(
                                new OfRule(step.rule(), step.kind()),
                                of -> sent.approved(mailbox, of.rule(), of.kind())),
                        Optional.ofNullable(found.get(step.id()))))
                .toList();
    }

    record Words(String subject, String text) {}

    /** The words of a reply that waits for a person, written anew. */
    @PutMapping("/api/mailboxes/{mailbox}/steps/{step}/words")
    StepView edit(@Allowed UUID mailbox, @PathVariable UUID step, @RequestBody Words words) {
        return outbox.edit(mailbox, step, edited(words));
    }

    private static EditedAnswer edited(Words words) {
        try {
            return new EditedAnswer(words.subject(), words.text());
        } catch (IllegalArgumentException refused) {
            throw Refused.invalid(refused.getMessage(), List.of());
        }
    }

    /**
     * @param left steps that could not be dealt with, as somebody or something else was first
     */
    record Several(int done, int left) {}

    /** The same with several alike; one that can't be done does not keep the others back. */
    @PostMapping("/api/mailboxes/{mailbox}/waiting/{act}")
    Several actOnSeveral(
            @Allowed UUID mailbox,
            @PathVariable StepView.Act act,
            @RequestBody List<UUID> steps,
            @AuthenticationPrincipal SignedIn who) {
        int done = (int) steps.stream()
                .distinct()
                .filter(step -> isDone(mailbox, step, act, who.shownName()))
                .count();
        return new Several(done, steps.size() - done);
    }

    private boolean isDone(UUID mailbox, UUID step, StepView.Act act, String who) {
        try {
            outbox.act(mailbox, step, act, who);
            return true;
        } catch (Refused tooLate) {
            return false;
        }
    }
}
