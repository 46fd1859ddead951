package app.jubek.server.records;

import app.jubek.core.step.StepState;
import app.jubek.server.account.Allowed;
import app.jubek.server.intake.MessageLine;
import app.jubek.server.intake.Messages;
import app.jubek.server.queue.Outbox;
import app.jubek.server.queue.StepView;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Everything that was done, is waiting, or was kept back. */
@RestController
public class RecordsController {
    private static final int LIMIT = 500;

    private final Outbox outbox;
    private final Messages messages;

    RecordsController(Outbox outbox, Messages messages) {
        this.outbox = outbox;
        this.messages = messages;
    }

    record RecordView(StepView step, MessageLine message) {}

    @GetMapping("/api/mailboxes/{mailbox}/records")
    List<RecordView> records(@Allowed UUID mailbox, @RequestParam(defaultValue = "") Set<StepState> states) {
        List<StepView> steps = outbox.newest(mailbox, states, LIMIT);
        Map<Long, MessageLine> lines = messages.lines(
                mailbox, steps.stream().map(StepView::message).distinct().toList());
        return steps.stream()
                .map(step -> new RecordView(step, lines.get(step.message())))
                .toList();
    }

    record Waiting(int steps) {}

    /** How many steps wait for a person. */
    @GetMapping("/api/mailboxes/{mailbox}/records/waiting")
    Waiting waiting(@Allowed UUID mailbox) {
        return new Waiting(outbox.needsPerson(mailbox));
    }

    @PostMapping("/api/mailboxes/{mailbox}/steps/{step}/{act}")
    StepView act(@Allowed UUID mailbox, @PathVariable UUID step, @PathVariable StepView.Act act) {
        return outbox.act(mailbox, step, act);
    }
}
