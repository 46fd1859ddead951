package app.jubek.server.queue;

import app.jubek.core.address.MailAddress;
import app.jubek.core.plan.StepNote;
import app.jubek.core.step.StepState;
import app.jubek.core.wording.Statement;
import app.jubek.server.step.Work;
import java.time.Clock;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Messages that come back unless somebody deals with them. */
@Component
class FollowUps {
    /** After all that rules do. */
    private static final int LAST = 1_000;

    private final StepRepository steps;
    private final Clock clock;

    FollowUps(StepRepository steps, Clock clock) {
        this.steps = steps;
        this.clock = clock;
    }

    /** Somebody other than its sender answered a message, or what was handed on of it; nobody where it was from here. */
    boolean answered(UUID mailbox, Optional<MailAddress> who, Collection<String> references) {
        Statement why = who.map(one -> StepNote.DEALT_WITH_BY.with(one.address()))
                .orElseGet(StepNote.DEALT_WITH_FROM_HERE::with);
        List<StepEntity> found =
                steps.followedUp(mailbox, references, who.map(MailAddress::key).orElse(""));
        found.forEach(step -> end(step, why));
        return !found.isEmpty();
    }

    /** It is known of one message what became of it. */
    void end(long message, Statement why) {
        steps.followedUp(message).forEach(step -> end(step, why));
    }

    /** It comes back at once, for a person to see to. */
    void notFor(long message, String recipient) {
        Statement why = StepNote.NOT_FOR.with(recipient);
        steps.followedUp(message).stream()
                .filter(step -> step.state() == StepState.READY)
                .forEach(step -> step.bringBackNow(why));
    }

    void end(StepEntity step, Statement why) {
        if (step.state() == StepState.READY) {
            step.settle(StepState.DISCARDED, why, clock.instant());
        }
        step.attend();
    }

    /** Back to the inbox, in the name of a step's rule. */
    static StepEntity bringingBack(StepEntity of, Statement why, Instant plannedAt) {
        StepEntity back = new StepEntity(of.mailboxId(), of.messageId(), Work.BRING_BACK, LAST, "{}", plannedAt)
                .by(of.ruleId(), of.ruleVersion(), of.ruleName(), 0);
        back.become(StepState.READY, why);
        return back;
    }
}
