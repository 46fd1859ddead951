package app.jubek.server.delivery;

import app.jubek.core.address.MailAddress;
import app.jubek.core.rule.RuleId;
import app.jubek.core.safety.Clearance;
import app.jubek.core.safety.Cleared;
import app.jubek.core.safety.Outgoing;
import app.jubek.core.step.StepState;
import app.jubek.core.text.Shown;
import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.platform.Border;
import app.jubek.server.platform.JubekProperties;
import app.jubek.server.platform.Nodes;
import app.jubek.server.rulebook.RuleBooks;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
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
class Claims {
    private static final Logger LOG = LoggerFactory.getLogger(Claims.class);
    static final String PERHAPS_TWICE = "perhaps twice: the first attempt broke off before it was confirmed";

    /** The reason of a step that may go as a forward, which is written anew, but not as it is. */
    static final String NOT_AS_IT_IS = "NOT_AS_IT_IS";

    private static final Duration HOUR = Duration.ofHours(1);

    /** How many steps are under way at once, of {@link DeliveryService#WORKERS}. */
    private static final int OF_MAILBOX = 5;

    private static final int OF_RULE = 4;
    private static final int TO_RECIPIENT = 3;

    /** Attempts after which a step that can't even be read has failed. */
    private static final int UNREADABLE = 3;

    private static final String ASK =
            "Ask the recipient whether it came; try again only if it did not. It is not repeated by itself.";

    private final StepRepository steps;
    private final Mailboxes mailboxes;
    private final RuleBooks books;
    private final JubekProperties properties;
    private final Nodes nodes;
    private final StepCounts counts;
    private final TransactionTemplate transaction;
    private final Clock clock;
    private final Set<UUID> inHand = ConcurrentHashMap.newKeySet();

    Claims(
            StepRepository steps,
            Mailboxes mailboxes,
            RuleBooks books,
            JubekProperties properties,
            Nodes nodes,
            StepCounts counts,
            TransactionTemplate transaction,
            Clock clock) {
        this.transaction = transaction;
        this.nodes = nodes;
        this.counts = counts;
        this.steps = steps;
        this.mailboxes = mailboxes;
        this.books = books;
        this.properties = properties;
        this.clock = clock;
    }

    /** A step to be done now; what leaves comes with its clearance. */
    record Claim(StepEntity step, Mailbox mailbox, Optional<Cleared> cleared) {
        boolean isRepeated() {
            return step.attempts() > 1;
        }
    }

    /** What looking for work came to. */
    sealed interface Found {
        record Work(Claim claim) implements Found {}

        /** A step was held or withheld instead; there may be more. */
        record LookAgain() implements Found {}

        record Idle() implements Found {}
    }

    /** What is wrong with one step sets that one back, and the next is looked for. */
    Found next() {
        AtomicReference<Optional<UUID>> looked = new AtomicReference<>(Optional.empty());
        AtomicReference<Found> found = new AtomicReference<>(new Found.Idle());
        Optional<Border.Failure> failure = Border.around(() -> transaction.executeWithoutResult(status -> {
            Optional<UUID> due =
                    steps.nextDue(OF_MAILBOX, OF_RULE, TO_RECIPIENT).map(UUID::fromString);
            looked.set(due);
            due.ifPresent(id -> found.set(claim(id)));
        }));
        if (failure.isEmpty()) {
            return found.get();
        }
        looked.get().ifPresent(inHand::remove);
        if (failure.get().ofSurroundings() || looked.get().isEmpty()) {
            throw new IllegalStateException(
                    "the outbox can't be read", failure.get().cause());
        }
        setBack(looked.get().get(), failure.get());
        return new Found.LookAgain();
    }

    private void setBack(UUID step, Border.Failure why) {
        LOG.error("step {} can't be begun: {}", step, why.trace());
        List<Duration> pauses = properties.retryAfter();
        String note = "Jubek can't begin it: " + Shown.of(why.words());
        transaction.executeWithoutResult(
                status -> steps.brokenBeforeRead(step, note, pauses.get(0).toMillis(), UNREADABLE));
    }

    private Found claim(UUID id) {
        StepEntity step = steps.findById(id).orElseThrow();
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
        step.claim(clock.instant(), nodes.id());
        inHand.add(step.id());
        steps.save(step);
        steps.lease(List.of(step.id()), nodes.id(), nodes.lease().toMillis());
        return new Found.Work(new Claim(step, mailbox, cleared));
    }

    /** Says for everything in hand that this node still works on it. */
    @Transactional
    public void renew() {
        List<UUID> now = List.copyOf(inHand);
        if (!now.isEmpty()) {
            steps.lease(now, nodes.id(), nodes.lease().toMillis());
        }
    }

    /** This node stops: what it could not finish is taken up as after a break, at once. */
    @Transactional
    public void giveUp() {
        List.copyOf(inHand).stream()
                .map(steps::findById)
                .flatMap(Optional::stream)
                .forEach(step -> {
                    if (step.isClaimedBy(nodes.id(), step.attempts())) {
                        unknown(step);
                    }
                });
    }

    /** No longer worked on here. */
    void letGoOf(Claim claim) {
        inHand.remove(claim.step().id());
    }

    private void keepBack(StepEntity step, Clearance.Verdict verdict) {
        if (verdict instanceof Clearance.Verdict.Hold hold) {
            step.held(hold.reason(), hold.reason().words());
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
        Instant since = clock.instant().minus(HOUR);
        return new Clearance.Now(
                mailbox.own(),
                ruleOn,
                step.isLetGo(),
                steps.cameBeforeRestoring(step.messageId()),
                new Clearance.Flow(steps.countLeft(mailbox.id(), since), mailbox.hourlyLimit()),
                new Clearance.Flow(steps.countLeftByRule(mailbox.id(), step.ruleId(), since), mailbox.ruleLimit()));
    }

    private static Outgoing outgoing(StepEntity step) {
        MailAddress to = MailAddress.of(step.recipient());
        Optional<MailAddress> sender =
                Optional.of(step.envelopeSender()).filter(s -> !s.isEmpty()).map(MailAddress::of);
        return step.kind().handsOn() ? new Outgoing.HandedOn(to, sender) : new Outgoing.Answer(to, sender);
    }

    /** It is done; also when another node has given it up for lost meanwhile. */
    @Transactional
    public void done(Claim claim) {
        StepEntity step = steps.findById(claim.step().id()).orElseThrow();
        if (isMine(step, claim) || step.state() == StepState.UNCERTAIN) {
            step.settle(StepState.SENT, step.isPerhapsTwice() ? PERHAPS_TWICE : "", clock.instant());
            counts.settled(step);
        }
    }

    /** Tries again after a pause, or when all pauses are used up lets the step fail. */
    @Transactional
    public void retryOrFail(Claim claim, Cause cause) {
        mine(claim).ifPresent(step -> {
            List<Duration> pauses = properties.retryAfter();
            if (step.attempts() > pauses.size()) {
                fail(
                        step,
                        new Cause(cause.words() + "; given up after " + step.attempts() + " attempts", cause.advice()));
                return;
            }
            step.become(StepState.READY, "to be tried again: " + cause.words());
            step.because(null, cause.advice());
            steps.postpone(step.id(), pauses.get(step.attempts() - 1).toMillis());
        });
    }

    @Transactional
    public void fail(Claim claim, Cause cause) {
        mine(claim).ifPresent(step -> fail(step, cause));
    }

    /** It can't leave as it is, but a forward of it can. */
    @Transactional
    public void failAsItIs(Claim claim, Cause cause) {
        mine(claim).ifPresent(step -> {
            fail(step, cause);
            step.because(NOT_AS_IT_IS, cause.advice());
        });
    }

    /** Nothing is left to do. */
    @Transactional
    public void needless(Claim claim, String why) {
        mine(claim).ifPresent(step -> {
            step.settle(StepState.DROPPED, why, clock.instant());
            counts.settled(step);
        });
    }

    private void fail(StepEntity step, Cause cause) {
        step.settle(StepState.FAILED, cause.words(), clock.instant());
        step.because(null, cause.advice());
        counts.settled(step);
        boolean alreadyBack = steps.existsByMessageIdAndKind(step.messageId(), Work.BRING_BACK);
        if (step.kind().handsOver() && !alreadyBack) {
            StepEntity back = new StepEntity(
                            step.mailboxId(), step.messageId(), Work.BRING_BACK, 1_000, "{}", clock.instant())
                    .by(step.ruleId(), step.ruleVersion(), step.ruleName(), 0);
            back.become(StepState.READY, "because it could not be handed on to " + step.recipient());
            steps.save(back);
        }
    }

    /** After a break nobody can judge: an answer is not repeated, a hand-over once, work in a folder looks first. */
    @Transactional
    public void unknown(Claim claim) {
        mine(claim).ifPresent(this::unknown);
    }

    /** The same for steps whose node gave no sign of life while it was doing them. */
    void takeUpAbandoned() {
        steps.abandoned().stream()
                .map(UUID::fromString)
                .filter(id -> !inHand.contains(id))
                .forEach(this::takeUp);
    }

    private void takeUp(UUID abandoned) {
        Optional<Border.Failure> failure =
                Border.around(() -> transaction.executeWithoutResult(status -> steps.abandoned(abandoned)
                        .flatMap(id -> steps.findById(abandoned))
                        .ifPresent(this::unknown)));
        if (failure.filter(Border.Failure::ofSurroundings).isPresent()) {
            throw new IllegalStateException(
                    "the outbox can't be read", failure.get().cause());
        }
        failure.ifPresent(why -> setBack(abandoned, why));
    }

    private void unknown(StepEntity step) {
        if (step.kind() == Work.REPLY || step.isPerhapsTwice()) {
            step.settle(
                    StepState.UNCERTAIN,
                    "nobody can know whether it left: the work broke off at the end",
                    clock.instant());
            step.because(null, ASK);
            counts.settled(step);
            return;
        }
        if (step.kind().leaves()) {
            step.perhapsTwice();
        }
        step.become(StepState.READY, step.kind().leaves() ? PERHAPS_TWICE : step.note());
        steps.postpone(step.id(), 0);
    }

    private Optional<StepEntity> mine(Claim claim) {
        Optional<StepEntity> step = steps.findById(claim.step().id()).filter(s -> isMine(s, claim));
        if (step.isEmpty()) {
            LOG.warn("step {} was taken over meanwhile", claim.step().id());
        }
        return step;
    }

    private boolean isMine(StepEntity step, Claim claim) {
        return step.isClaimedBy(nodes.id(), claim.step().attempts());
    }
}
