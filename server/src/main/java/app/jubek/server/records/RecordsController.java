package app.jubek.server.records;

import app.jubek.core.step.StepState;
import app.jubek.server.account.MailboxAccess;
import app.jubek.server.account.SignedIn;
import app.jubek.server.delivery.Outbox;
import app.jubek.server.delivery.StepView;
import app.jubek.server.intake.MessageLine;
import app.jubek.server.intake.Messages;
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

    private final Outbox outbox;
    private final Messages messages;
    private final MailboxAccess access;

    RecordsController(Outbox outbox, Messages messages, MailboxAccess access) {
        this.outbox = outbox;
        this.messages = messages;
        this.access = access;
    }

    record RecordView(StepView step, MessageLine message) {}

    @GetMapping("/api/mailboxes/{mailbox}/records")
    List<RecordView> records(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID mailbox,
            @RequestParam(defaultValue = "") Set<StepState> states) {
        access.check(who, mailbox);
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
    Waiting waiting(@AuthenticationPrincipal SignedIn who, @PathVariable UUID mailbox) {
        access.check(who, mailbox);
        return new Waiting(outbox.needsPerson(mailbox));
    }

    @PostMapping("/api/mailboxes/{mailbox}/steps/{step}/{act}")
    StepView act(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID mailbox,
            @PathVariable UUID step,
            @PathVariable StepView.Act act) {
        access.check(who, mailbox);
        return outbox.act(mailbox, step, act);
    }
}
