package app.jubek.server.records;

import app.jubek.core.step.StepState;
import app.jubek.server.account.Allowed;
import app.jubek.server.account.SignedIn;
import app.jubek.server.intake.MessageLine;
import app.jubek.server.intake.Messages;
import app.jubek.server.queue.Outbox;
import app.jubek.server.step.StepView;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Everything that was done, is waiting, or was kept back. */
@RestController
public class RecordsController {
    private static final int LIMIT = 500;

    /** How long an answer that was withheld stands on the desk. */
    private static final Duration ON_THE_DESK = Duration.ofDays(7);

    private final Outbox outbox;
    private final Messages messages;
    private final Clock clock;

    RecordsController(Outbox outbox, Messages messages, Clock clock) {
        this.clock = clock;
        this.outbox = outbox;
        this.messages = messages;
    }

    record RecordView(StepView step, MessageLine message) {}

    @GetMapping("/api/mailboxes/{mailbox}/records")
    List<RecordView> records(@Allowed UUID mailbox, @RequestParam(defaultValue = "") Set<StepState> states) {
        return views(mailbox, outbox.newest(mailbox, states, LIMIT));
    }

    /** Messages that were filed away without the answer that their rule gives, and that nobody has seen to. */
    @GetMapping("/api/mailboxes/{mailbox}/records/unanswered")
    List<RecordView> unanswered(@Allowed UUID mailbox, @RequestParam(defaultValue = "180") int days) {
        return views(mailbox, outbox.unseen(mailbox, clock.instant().minus(Duration.ofDays(days)), LIMIT));
    }

    /** Messages that came back as nobody dealt with them, or were not for who had them, and that nobody has seen to. */
    @GetMapping("/api/mailboxes/{mailbox}/records/brought-back")
    List<RecordView> broughtBack(@Allowed UUID mailbox, @RequestParam(defaultValue = "180") int days) {
        return views(mailbox, outbox.broughtBack(mailbox, clock.instant().minus(Duration.ofDays(days)), LIMIT));
    }

    private List<RecordView> views(UUID mailbox, List<StepView> steps) {
        Map<Long, MessageLine> lines = messages.lines(
                mailbox, steps.stream().map(StepView::message).distinct().toList());
        return steps.stream()
                .map(step -> new RecordView(step, lines.get(step.message())))
                .toList();
    }

    record Waiting(int steps) {}

    /** How many steps wait for a person, as the desk lists them. */
    @GetMapping("/api/mailboxes/{mailbox}/records/waiting")
    Waiting waiting(@Allowed UUID mailbox) {
        return new Waiting(outbox.needsPerson(mailbox, clock.instant().minus(ON_THE_DESK)));
    }

    @PostMapping("/api/mailboxes/{mailbox}/steps/{step}/{act}")
    StepView act(
            @Allowed UUID mailbox,
            @PathVariable UUID step,
            @PathVariable StepView.Act act,
            @AuthenticationPrincipal SignedIn who) {
        return outbox.act(mailbox, step, act, who.shownName());
    }
}
