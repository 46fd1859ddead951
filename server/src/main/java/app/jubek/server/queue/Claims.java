package app.jubek.server.queue;

import app.jubek.core.plan.Advice;
import app.jubek.core.plan.Failure;
import app.jubek.core.plan.Reason;
import app.jubek.core.plan.StepNote;
import app.jubek.core.plan.Trouble;
import app.jubek.core.safety.Clearance;
import app.jubek.core.safety.Cleared;
import app.jubek.core.step.Step;
import app.jubek.core.step.StepState;
import app.jubek.core.wording.Statement;
import app.jubek.formats.statement.StatementJson;
import app.jubek.server.clearance.LastLook;
import app.jubek.server.clearance.Leaving;
import app.jubek.server.figures.StepCounts;
import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.nodes.Nodes;
import app.jubek.server.platform.Border;
import app.jubek.server.platform.JubekProperties;
import app.jubek.server.step.Claim;
import app.jubek.server.step.Work;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicReference;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/** Changes of state around the doing, each in a transaction of its own; no network inside. */
@Component
public class Claims {
    private static final Logger LOG = LoggerFactory.getLogger(Claims.class);

    /** How many steps may be under way at once. */
    public static final int WORKERS = 6;

    /** How many of them for one mailbox, rule and recipient. */
    private static final int OF_MAILBOX = 5;

    private static final int OF_RULE = 4;
    private static final int TO_RECIPIENT = 3;

    /** Attempts after which a step that can't even be read has failed. */
    private static final int UNREADABLE = 3;

    private final StepRepository steps;
    private final Mailboxes mailboxes;
    private final LastLook lastLook;
    private final JubekProperties properties;
    private final Nodes nodes;
    private final StepCounts counts;
    private final AfterReply afterReply;
    private final Failing failing;
    private final FollowUps followUps;
    private final TransactionTemplate transaction;
    private final Clock clock;
    private final Set<UUID> underWay = ConcurrentHashMap.newKeySet();

    Claims(
            StepRepository steps,
            Mailboxes mailboxes,
            LastLook lastLook,
            JubekProperties properties,
            Nodes nodes,
            StepCounts counts,
            AfterReply afterReply,
            Failing failing,
            FollowUps followUps,
            TransactionTemplate transaction,
            Clock clock) {
        this.transaction = transaction;
        this.nodes = nodes;
        this.counts = counts;
        this.afterReply = afterReply;
        this.failing = failing;
        this.followUps = followUps;
        this.steps = steps;
        this.mailboxes = mailboxes;
        this.lastLook = lastLook;
        this.properties = properties;
        this.clock = clock;
    }

    /** What looking for work came to. */
    public sealed interface Found {
        record Due(Claim claim) implements Found {}

        /** A step was held or withheld instead; there may be more. */
        record LookAgain() implements Found {}

        record Idle() implements Found {}
    }

    /** What is wrong with one step sets that one back, and the next is looked for. */
    public Found next() {
        AtomicReference<Optional<UUID>> looked = new AtomicReference<>(Optional.empty());
        AtomicReference<Found> found = new AtomicReference<>(new Found.Idle());
        Optional<Border.Failure> failure = Border.around(() -> transaction.executeWithoutResult(status -> {
            Optional<UUID> due = steps.nextDue(OF_MAILBOX, OF_RULE, TO_RECIPIENT, clock.instant());
            looked.set(due);
            due.ifPresent(id -> found.set(claim(id)));
        }));
        if (failure.isEmpty()) {
            return found.get();
        }
        looked.get().ifPresent(underWay::remove);
        if (failure.get().isTransient() || looked.get().isEmpty()) {
            throw new IllegalStateException(
                    "the outbox can't be read", failure.get().cause());
        }
        setBack(looked.get().get(), failure.get());
        return new Found.LookAgain();
    }

    private void setBack(UUID step, Border.Failure why) {
        LOG.error("step {} can't be begun: {}", step, why.trace());
        List<Duration> pauses = properties.retryAfter();
        Statement cause = Failure.STEP_NOT_BEGUN.with(why.words());
        transaction.executeWithoutResult(status -> steps.brokenBeforeRead(
                step,
                cause.code(),
                StatementJson.write(cause.arguments()).toString(),
                pauses.get(0).toNanos(),
                UNREADABLE));
    }

    private Found claim(UUID id) {
        StepEntity step = steps.findById(id).orElseThrow();
        Mailbox mailbox = mailboxes.find(step.mailboxId());
        Optional<Cleared> cleared = Optional.empty();
        if (step.kind().leaves()) {
            mailboxes.lock(step.mailboxId());
            StepRepository.Standing standing = steps.standing(step.messageId());
            if (standing.getStopped()) {
                return new Found.LookAgain();
            }
            Clearance.Verdict verdict = lastLook.at(leaving(step, standing), mailbox);
            if (!(verdict instanceof Clearance.Verdict.Clear clear)) {
                keepBack(step, verdict);
                return new Found.LookAgain();
            }
            cleared = Optional.of(clear.cleared());
        }
        step.claim(clock.instant(), nodes.id());
        underWay.add(step.id());
        steps.save(step);
        steps.lease(List.of(step.id()), nodes.id(), nodes.lease().toNanos());
        return new Found.Due(of(step, mailbox, cleared));
    }

    private static Leaving leaving(StepEntity step, StepRepository.Standing standing) {
        return new Leaving(
                step.messageId(),
                step.ruleId(),
                step.kind(),
                step.recipient(),
                step.envelopeSender(),
                step.release(),
                step.plannedAt(),
                step.releaseAt(),
                step.isApproved(),
                standing.getReceived(),
                standing.getRestored());
    }

    static Claim of(StepEntity step, Mailbox mailbox, Optional<Cleared> cleared) {
        Optional<Step> asked = step.kind() == Work.BRING_BACK ? Optional.empty() : Optional.of(step.asked());
        return new Claim(
                step.id(), step.attempts(), step.kind(), step.messageId(), asked, step.ruleName(), mailbox, cleared);
    }

    /** Says for everything under way that this node still works on it. */
    @Transactional
    public void renew() {
        List<UUID> now = List.copyOf(underWay);
        if (!now.isEmpty()) {
            steps.lease(now, nodes.id(), nodes.lease().toNanos());
        }
    }

    /** This node stops: what it could not finish is taken up as after a break, at once. */
    @Transactional
    public void giveUp() {
        List.copyOf(underWay).stream()
                .map(steps::findById)
                .flatMap(Optional::stream)
                .forEach(step -> {
                    if (step.isClaimedBy(nodes.id(), step.attempts())) {
                        unknown(step);
                    }
                });
    }

    /** No longer worked on here. */
    public void finished(Claim claim) {
        underWay.remove(claim.step());
    }

    private void keepBack(StepEntity step, Clearance.Verdict verdict) {
        if (verdict instanceof Clearance.Verdict.Hold hold) {
            step.become(StepState.HELD, why(hold.reason(), step));
        } else if (verdict instanceof Clearance.Verdict.Withhold withhold) {
            step.settle(StepState.WITHHELD, why(withhold.reason(), step), clock.instant());
            afterReply.notGiven(step);
        } else if (verdict instanceof Clearance.Verdict.Wait wait) {
            step.release(wait.until());
        }
        counts.changed(step.mailboxId());
        steps.save(step);
    }

    private static Statement why(Reason reason, StepEntity step) {
        return reason == Reason.OUTSIDE || reason == Reason.DESTINATION_DECLINED
                ? reason.with(step.recipient())
                : reason.with();
    }

    /** It is done; also when another node has given it up for lost meanwhile. */
    @Transactional
    public void done(Claim claim) {
        StepEntity step = steps.toSettle(claim.step()).orElseThrow();
        if (isMine(step, claim) || step.state() == StepState.UNCERTAIN) {
            step.done(clock.instant());
            if (step.kind() == Work.UNDO) {
                steps.undone(step.id());
            }
            if (step.kind() == Work.REPLY && step.releasedBy().isPresent()) {
                followUps.end(step.messageId(), StepNote.DEALT_WITH_FROM_HERE.with());
            }
            counts.settled(step.mailboxId(), step.kind(), step.state());
        }
    }

    /** Tries again after a pause, or when all pauses are used up lets the step fail. */
    @Transactional
    public void retryOrFail(Claim claim, Trouble trouble) {
        mine(claim).ifPresent(step -> {
            List<Duration> pauses = properties.retryAfter();
            if (step.attempts() > pauses.size()) {
                failing.fail(
                        step, new Trouble(StepNote.GIVEN_UP.with(trouble.cause(), step.attempts()), trouble.advice()));
                return;
            }
            step.retry(StepNote.TO_BE_TRIED_AGAIN.with(trouble.cause()));
            trouble.advice().ifPresent(step::advise);
            counts.changed(step.mailboxId());
            steps.postpone(step.id(), pauses.get(step.attempts() - 1).toNanos());
        });
    }

    @Transactional
    public void fail(Claim claim, Trouble trouble) {
        mine(claim).ifPresent(step -> failing.fail(step, trouble));
    }

    /** Nothing is left to do. */
    @Transactional
    public void needless(Claim claim, Statement why) {
        mine(claim).ifPresent(step -> {
            step.settle(StepState.DISCARDED, why, clock.instant());
            counts.settled(step.mailboxId(), step.kind(), step.state());
        });
    }

    /** After a break nobody can judge: an answer is not repeated, a hand-over once, work in a folder looks first. */
    @Transactional
    public void unknown(Claim claim) {
        mine(claim).ifPresent(this::unknown);
    }

    /** The same for steps whose node gave no sign of life while it was doing them. */
    public void takeUpAbandoned() {
        steps.abandoned().stream().filter(id -> !underWay.contains(id)).forEach(this::takeUp);
    }

    private void takeUp(UUID abandoned) {
        Optional<Border.Failure> failure =
                Border.around(() -> transaction.executeWithoutResult(status -> steps.abandoned(abandoned)
                        .flatMap(id -> steps.findById(abandoned))
                        .ifPresent(this::unknown)));
        if (failure.filter(Border.Failure::isTransient).isPresent()) {
            throw new IllegalStateException(
                    "the outbox can't be read", failure.get().cause());
        }
        failure.ifPresent(why -> setBack(abandoned, why));
    }

    private void unknown(StepEntity step) {
        if (step.kind() == Work.REPLY || step.isPerhapsTwice()) {
            step.settle(StepState.UNCERTAIN, StepNote.NOBODY_KNOWS_WHETHER_SENT.with(), clock.instant());
            step.advise(Advice.ASK_RECIPIENT);
            counts.settled(step.mailboxId(), step.kind(), step.state());
            return;
        }
        if (step.kind().leaves()) {
            step.perhapsTwice();
            step.become(StepState.READY, StepNote.PERHAPS_TWICE.with());
        } else {
            step.become(StepState.READY);
        }
        counts.changed(step.mailboxId());
        steps.postpone(step.id(), 0);
    }

    private Optional<StepEntity> mine(Claim claim) {
        Optional<StepEntity> step = steps.findById(claim.step()).filter(s -> isMine(s, claim));
        if (step.isEmpty()) {
            LOG.warn("step {} was taken over meanwhile", claim.step());
        }
        return step;
    }

    private boolean isMine(StepEntity step, Claim claim) {
        return step.isClaimedBy(nodes.id(), claim.attempt());
    }
}
