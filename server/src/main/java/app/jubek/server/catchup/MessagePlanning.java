package app.jubek.server.catchup;

import app.jubek.core.catchup.CatchUpNote;
import app.jubek.core.catchup.Pace;
import app.jubek.core.catchup.Task;
import app.jubek.core.corpus.PastMessage;
import app.jubek.core.plan.PlannedStep;
import app.jubek.core.safety.Limits;
import app.jubek.core.safety.RepliesGiven;
import app.jubek.server.clearance.SentSoFar;
import app.jubek.server.deciding.Composers;
import app.jubek.server.folders.StoredOriginals;
import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.platform.Border;
import app.jubek.server.platform.CpuBudget;
import app.jubek.server.queue.Outbox;
import app.jubek.server.step.StepPlan;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicReference;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** Plans what a catch-up does with one message, in one transaction with how far the catch-up has come. */
@Component
class MessagePlanning {
    private static final Logger LOG = LoggerFactory.getLogger(MessagePlanning.class);
    private static final Duration UNTIL_LIMITS_ARE_LOOKED_AT = Duration.ofSeconds(30);

    private final CatchUpRepository catchUps;
    private final Outbox outbox;
    private final StoredOriginals originals;
    private final Composers composers;
    private final SentSoFar sent;
    private final Mailboxes mailboxes;
    private final EntityManager entities;
    private final TransactionTemplate transaction;
    private final Clock clock;

    MessagePlanning(
            CatchUpRepository catchUps,
            Outbox outbox,
            StoredOriginals originals,
            Composers composers,
            SentSoFar sent,
            Mailboxes mailboxes,
            EntityManager entities,
            TransactionTemplate transaction,
            Clock clock) {
        this.catchUps = catchUps;
        this.outbox = outbox;
        this.originals = originals;
        this.composers = composers;
        this.sent = sent;
        this.mailboxes = mailboxes;
        this.entities = entities;
        this.transaction = transaction;
        this.clock = clock;
    }

    enum Outcome {
        /** Steps of it were planned. */
        PLANNED,
        /** It was dealt with before, or nothing is to be done with it. */
        PASSED,
        /** Nothing goes on for now. */
        WAITS
    }

    /** A message that can't be planned is counted and passed, unless the fault is one that passes. */
    Outcome plan(UUID catchUp, Scope.Seen seen, int place) {
        AtomicReference<Outcome> outcome = new AtomicReference<>(Outcome.WAITS);
        PastMessage message = seen.window().past().message(place);
        Optional<Border.Failure> failure = Border.around(() ->
                transaction.executeWithoutResult(status -> outcome.set(inTransaction(catchUp, seen, place, message))));
        if (failure.isEmpty()) {
            return outcome.get();
        }
        if (failure.get().isTransient()) {
            throw new IllegalStateException(failure.get().cause());
        }
        LOG.warn(
                "old message {} can't be planned: {}",
                message.id(),
                failure.get().trace());
        transaction.executeWithoutResult(status -> catchUps.toChange(catchUp).ifPresent(one -> {
            one.passed(message.received(), message.id());
            one.failed();
        }));
        return Outcome.PASSED;
    }

    private Outcome inTransaction(UUID id, Scope.Seen seen, int place, PastMessage message) {
        Mailbox mailbox = seen.window().mailbox();
        mailboxes.lock(mailbox.id());
        CatchUpEntity one = catchUps.toChange(id).orElseThrow();
        if (one.state() != CatchUpState.RUNNING) {
            return Outcome.WAITS;
        }
        if (one.isPast(message.received(), message.id())) {
            return Outcome.PASSED;
        }
        Optional<Task> task = seen.catchUp().task(place, new RepliesGiven());
        List<PlannedStep> steps = task.map(Task::steps).orElse(List.of());
        if (steps.stream().anyMatch(step -> isTooMuch(step, mailbox, message))) {
            one.waits(CatchUpNote.WAITS_FOR_LIMITS.with(), UNTIL_LIMITS_ARE_LOOKED_AT, clock.instant());
            return Outcome.WAITS;
        }
        one.passed(message.received(), message.id());
        if (steps.isEmpty()) {
            return Outcome.PASSED;
        }
        outbox.plan(new StepPlan(
                        mailbox.id(),
                        message.id(),
                        originals.of(message.id()),
                        composers.of(mailbox),
                        steps,
                        List.of(),
                        CpuBudget.ofMessage(),
                        Optional.of(one.begunBy())))
                .forEach(step -> entities.persist(new CatchUpStepEntity(step, id)));
        one.did();
        return Outcome.PLANNED;
    }

    private boolean isTooMuch(PlannedStep step, Mailbox mailbox, PastMessage message) {
        return step.sending()
                .map(out -> {
                    Limits.Flow flow = sent.lastHour(
                            mailbox.id(),
                            message.id(),
                            step.rule().value(),
                            out.to().address(),
                            clock.instant());
                    return Pace.limits(mailbox.limits()).reached(flow).isPresent();
                })
                .orElse(false);
    }
}
