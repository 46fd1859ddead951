package app.jubek.server.delivery;

import app.jubek.core.address.MailAddress;
import app.jubek.core.rule.RuleId;
import app.jubek.core.safety.Clearance;
import app.jubek.core.safety.Cleared;
import app.jubek.core.safety.Outgoing;
import app.jubek.core.step.StepState;
import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.platform.JubekProperties;
import app.jubek.server.rulebook.RuleBooks;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Changes of state around the doing, each in a transaction of its own; no network inside. */
@Component
class Claims {
    static final String PERHAPS_TWICE = "perhaps twice: the first attempt broke off before it was confirmed";

    private static final Duration HOUR = Duration.ofHours(1);
    private static final Duration LEASE = Duration.ofMinutes(5);

    private final StepRepository steps;
    private final Mailboxes mailboxes;
    private final RuleBooks books;
    private final JubekProperties properties;
    private final Clock clock;

    Claims(StepRepository steps, Mailboxes mailboxes, RuleBooks books, JubekProperties properties, Clock clock) {
        this.steps = steps;
        this.mailboxes = mailboxes;
        this.books = books;
        this.properties = properties;
        this.clock = clock;
    }

    /** A step to be done now; what leaves comes with its clearance. */
    record Claim(StepEntity step, Mailbox mailbox, Optional<Cleared> cleared) {}

    /** What looking for work came to. */
    sealed interface Found {
        record Work(Claim claim) implements Found {}

        /** A step was held or withheld instead; there may be more. */
        record LookAgain() implements Found {}

        record Idle() implements Found {}
    }

    @Transactional
    public Found next() {
        Optional<StepEntity> due = steps.nextDue();
        if (due.isEmpty()) {
            return new Found.Idle();
        }
        StepEntity step = due.get();
        Mailbox mailbox = mailboxes.find(step.mailboxId());
        Optional<Cleared> cleared = Optional.empty();
        if (step.kind().leaves()) {
            mailboxes.lock(step.mailboxId());
            Clearance.Verdict verdict = Clearance.look(outgoing(step), now(step, mailbox));
            if (!(verdict instanceof Clearance.Verdict.Clear clear)) {
                keepBack(step, verdict);
                return new Found.LookAgain();
            }
            cleared = Optional.of(clear.cleared());
        }
        step.claim(clock.instant(), Instant.now().plus(LEASE));
        return new Found.Work(new Claim(steps.save(step), mailbox, cleared));
    }

    private void keepBack(StepEntity step, Clearance.Verdict verdict) {
        if (verdict instanceof Clearance.Verdict.Hold hold) {
            step.become(StepState.HELD, hold.reason().words());
        } else if (verdict instanceof Clearance.Verdict.Withhold withhold) {
            step.settle(StepState.WITHHELD, withhold.reason().words(), clock.instant());
        }
        steps.save(step);
    }

    private Clearance.Now now(StepEntity step, Mailbox mailbox) {
        boolean ruleOn = books.current(mailbox.id())
                .book()
                .find(new RuleId(step.ruleId()))
                .filter(rule -> rule.on())
                .isPresent();
        int sent = steps.countLeft(mailbox.id(), clock.instant().minus(HOUR));
        return new Clearance.Now(mailbox.own(), ruleOn, sent, mailbox.hourlyLimit());
    }

    private static Outgoing outgoing(StepEntity step) {
        MailAddress to = MailAddress.of(step.recipient());
        Optional<MailAddress> sender =
                Optional.of(step.envelopeSender()).filter(s -> !s.isEmpty()).map(MailAddress::of);
        return step.kind().handsOn() ? new Outgoing.HandedOn(to, sender) : new Outgoing.Answer(to, sender);
    }

    @Transactional
    public void done(UUID id) {
        StepEntity step = steps.findById(id).orElseThrow();
        step.settle(StepState.SENT, step.note(), clock.instant());
    }

    /** Tries again after a pause, or when all pauses are used up lets the step fail. */
    @Transactional
    public void retryOrFail(UUID id, String cause) {
        StepEntity step = steps.findById(id).orElseThrow();
        List<Duration> pauses = properties.retryAfter();
        if (step.attempts() > pauses.size()) {
            fail(step, cause + "; given up after " + step.attempts() + " attempts");
            return;
        }
        step.become(StepState.READY, "to be tried again: " + cause);
        step.dueAt(Instant.now().plus(pauses.get(step.attempts() - 1)));
    }

    @Transactional
    public void fail(UUID id, String cause) {
        fail(steps.findById(id).orElseThrow(), cause);
    }

    private void fail(StepEntity step, String cause) {
        step.settle(StepState.FAILED, cause, clock.instant());
        boolean alreadyBack = steps.existsByMessageIdAndKind(step.messageId(), Work.BRING_BACK);
        if (step.kind().handsOn() && !alreadyBack) {
            StepEntity back = new StepEntity(
                            step.mailboxId(), step.messageId(), Work.BRING_BACK, 1_000, "{}", clock.instant())
                    .by(step.ruleId(), step.ruleVersion(), step.ruleName(), 0);
            back.become(StepState.READY, "because it could not be handed on to " + step.recipient());
            steps.save(back);
        }
    }

    /** After a break nobody can judge: an answer is not repeated, a hand-over once, work in a folder looks first. */
    @Transactional
    public void unknown(UUID id) {
        unknown(steps.findById(id).orElseThrow());
    }

    /** The same for steps whose node died while it was doing them. */
    @Transactional
    public void takeUpAbandoned() {
        steps.abandoned().forEach(this::unknown);
    }

    private void unknown(StepEntity step) {
        boolean repeatedBefore = step.note().startsWith(PERHAPS_TWICE);
        if (step.kind() == Work.REPLY || repeatedBefore) {
            step.settle(
                    StepState.UNCERTAIN,
                    "nobody can know whether it left: the connection broke at the end",
                    clock.instant());
            return;
        }
        step.become(StepState.READY, step.kind().leaves() ? PERHAPS_TWICE : step.note());
        step.dueAt(Instant.now());
    }
}
