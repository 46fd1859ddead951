package app.jubek.server.queue;

import app.jubek.core.address.MailAddress;
import app.jubek.core.message.ByteSource;
import app.jubek.core.outgoing.Composed;
import app.jubek.core.outgoing.Composer;
import app.jubek.core.plan.Advice;
import app.jubek.core.plan.NotDone;
import app.jubek.core.plan.PlannedStep;
import app.jubek.core.plan.Reason;
import app.jubek.core.plan.StepNote;
import app.jubek.core.safety.ReplyHistory;
import app.jubek.core.step.Step;
import app.jubek.core.step.StepState;
import app.jubek.core.text.Budget;
import app.jubek.formats.rulebook.RuleBookJson;
import app.jubek.server.content.StepContent;
import app.jubek.server.platform.Refused;
import app.jubek.server.replyhistory.StoredReplyHistory;
import app.jubek.server.signals.Signal;
import app.jubek.server.signals.Signals;
import java.time.Clock;
import java.time.Instant;
import java.util.Arrays;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Every step of every mailbox, from its planning to its end. */
@Service
public class Outbox {
    private final StepRepository steps;
    private final StepContent bytes;
    private final ForwardInstead forwards;
    private final StoredReplyHistory history;
    private final Signals signals;
    private final Clock clock;

    Outbox(
            StepRepository steps,
            StepContent bytes,
            ForwardInstead forwards,
            StoredReplyHistory history,
            Signals signals,
            Clock clock) {
        this.steps = steps;
        this.bytes = bytes;
        this.forwards = forwards;
        this.history = history;
        this.signals = signals;
        this.clock = clock;
    }

    /**
     * The plan for one stored message.
     *
     * @param composer makes the bytes of what leaves, frozen now
     * @param budget what planning may cost
     */
    public record Plan(
            UUID mailbox,
            long message,
            Composer.Original original,
            Composer composer,
            List<PlannedStep> planned,
            List<NotDone> notDone,
            Budget budget) {}

    /** Stores the plan and wakes the workers after the commit; to be called inside the transaction that decided. */
    @Transactional
    public void plan(Plan plan) {
        int position = 0;
        for (PlannedStep planned : plan.planned()) {
            Made made = make(plan, planned, position++);
            made.step().become(StepState.READY);
            save(made);
            noteAnswer(planned, made.step(), plan);
        }
        for (NotDone notDone : plan.notDone()) {
            Made made = make(plan, notDone.planned(), position++);
            if (notDone.waits()) {
                made.step().become(StepState.HELD, notDone.statement());
                save(made);
                if (made.composed().isPresent()) {
                    noteAnswer(notDone.planned(), made.step(), plan);
                }
            } else {
                made.step().settle(StepState.WITHHELD, notDone.statement(), clock.instant());
                steps.save(made.step());
            }
        }
        wake(plan.mailbox());
    }

    /** A step and, of one that leaves, its bytes. */
    private record Made(StepEntity step, Optional<Composed> composed) {}

    private Made make(Plan plan, PlannedStep planned, int position) {
        plan.budget().ask();
        Work work = Work.of(planned);
        String detail = RuleBookJson.write(planned.step()).toString();
        StepEntity entity = new StepEntity(plan.mailbox(), plan.message(), work, position, detail, clock.instant())
                .by(planned.rule().value(), planned.ruleVersion(), planned.ruleName(), planned.ordinal());
        if (planned.sending().isEmpty()) {
            boolean toOne = planned.step() instanceof Step.HandOn handOn
                    && handOn.to().size() == 1
                    && handOn.groups().isEmpty();
            return new Made(
                    toOne ? entity.to(((Step.HandOn) planned.step()).to().get(0).address()) : entity, Optional.empty());
        }
        Composed composed = plan.composer().compose(planned, plan.original(), clock.instant());
        String sender =
                composed.outgoing().envelopeSender().map(MailAddress::address).orElse("");
        entity.leaving(composed.outgoing().recipient().address(), sender, composed.messageId());
        return new Made(entity, Optional.of(composed));
    }

    private void save(Made made) {
        steps.saveAndFlush(made.step());
        made.composed().ifPresent(composed -> bytes.store(made.step().id(), ByteSource.of(composed.bytes())));
    }

    private void noteAnswer(PlannedStep planned, StepEntity step, Plan plan) {
        if (step.kind() != Work.REPLY || !(planned.step() instanceof Step.Reply reply)) {
            return;
        }
        history.note(new StoredReplyHistory.Answer(
                plan.mailbox(),
                step.id(),
                ReplyHistory.key(planned.rule(), reply.options()),
                ReplyHistory.senders(plan.original().message(), reply.options().to()),
                clock.instant()));
    }

    private void wake(UUID mailbox) {
        signals.send(new Signal(Signal.Topic.WORK, mailbox));
        signals.sendSoon(new Signal(Signal.Topic.STEPS, mailbox));
    }

    /** Whether this mailbox sent a message with one of these Message-IDs. */
    @Transactional(readOnly = true)
    public boolean sentOneOf(UUID mailbox, Collection<String> messageIds) {
        return !messageIds.isEmpty() && steps.existsByMailboxIdAndOutgoingIdIn(mailbox, messageIds);
    }

    @Transactional(readOnly = true)
    public Map<Long, List<StepView>> ofMessages(UUID mailbox, Collection<Long> messages) {
        return messages.isEmpty()
                ? Map.of()
                : steps.ofMessages(mailbox, messages).stream()
                        .map(Outbox::view)
                        .collect(Collectors.groupingBy(StepView::message));
    }

    /** Messages of which a step that was planned since an instant is in one of these states. */
    @Transactional(readOnly = true)
    public Set<Long> messagesIn(UUID mailbox, Set<StepState> states, Instant since) {
        return steps.messagesIn(mailbox, states, since);
    }

    /** Newest first; with no states given, all of them. */
    @Transactional(readOnly = true)
    public List<StepView> newest(UUID mailbox, Set<StepState> states, int limit) {
        List<StepEntity> found = states.isEmpty()
                ? steps.newest(mailbox, Limit.of(limit))
                : steps.newestIn(mailbox, states, Limit.of(limit));
        return found.stream().map(Outbox::view).toList();
    }

    /**
     * What a person decides about one step.
     *
     * @throws Refused when the step is no longer in a state for it
     */
    @Transactional
    public StepView act(UUID mailbox, UUID id, StepView.Act act) {
        StepEntity step = steps.findByIdAndMailboxId(id, mailbox).orElseThrow(Refused::notFound);
        if (!acts(step).contains(act)) {
            throw Refused.conflict(
                    "The step is " + step.state().name().toLowerCase(java.util.Locale.ROOT)
                            + " by now, so that can't be done any more.",
                    Map.of());
        }
        switch (act) {
            case DISCARD -> drop(step);
            case FORWARD_INSTEAD -> {
                forwards.plan(step);
                step.settle(StepState.DISCARDED, StepNote.FORWARDED_INSTEAD.with(), clock.instant());
                wake(mailbox);
            }
            default -> {
                step.become(StepState.READY);
                step.approve();
                steps.postpone(step.id(), 0);
                wake(mailbox);
            }
        }
        signals.sendSoon(new Signal(Signal.Topic.STEPS, mailbox));
        return view(steps.save(step));
    }

    /** An answer that was held and is dropped was never given, so the sender may get another. */
    private void drop(StepEntity step) {
        if (step.state() == StepState.HELD) {
            history.forget(step.id());
        }
        step.settle(StepState.DISCARDED, StepNote.DISCARDED_BY_PERSON.with(), clock.instant());
    }

    private static List<StepView.Act> acts(StepEntity step) {
        boolean overruled = reason(step).filter(Reason::mayBeOverruled).isPresent();
        return switch (step.state()) {
            case HELD ->
                overruled ? List.of(StepView.Act.SEND_NOW, StepView.Act.DISCARD) : List.of(StepView.Act.DISCARD);
            case FAILED ->
                step.advice().filter(Advice.FORWARD_INSTEAD::equals).isPresent()
                        ? List.of(StepView.Act.FORWARD_INSTEAD, StepView.Act.DISCARD)
                        : List.of(StepView.Act.TRY_AGAIN, StepView.Act.DISCARD);
            case UNCERTAIN -> List.of(StepView.Act.TRY_AGAIN, StepView.Act.DISCARD);
            default -> List.of();
        };
    }

    private static Optional<Reason> reason(StepEntity step) {
        return step.because()
                .flatMap(why -> Arrays.stream(Reason.values()).filter(why::is).findFirst());
    }

    /** What each rule did, as far as records go back; rules that never acted are left out. */
    @Transactional(readOnly = true)
    public List<RuleUse> uses(UUID mailbox) {
        Map<String, Long> superseded = new HashMap<>();
        steps.withheldByRule(mailbox, Reason.SUPERSEDED.id())
                .forEach(row -> superseded.put((String) row[0], (Long) row[1]));
        return steps.uses(mailbox).stream()
                .map(use -> use.with(superseded.getOrDefault(use.rule(), 0L)))
                .toList();
    }

    /** Every answer to a sender, whatever became of it, newest first. */
    @Transactional(readOnly = true)
    public List<StepView> answersTo(UUID mailbox, String sender, int limit) {
        return steps.answersTo(mailbox, sender.toLowerCase(java.util.Locale.ROOT), limit).stream()
                .map(Outbox::view)
                .toList();
    }

    /** What came to an end since an instant, by kind. */
    @Transactional(readOnly = true)
    public List<DoneCount> doneSince(UUID mailbox, Instant since) {
        return steps.doneSince(mailbox, since);
    }

    /** How many steps of a mailbox wait for a person. */
    @Transactional(readOnly = true)
    public int needsPerson(UUID mailbox) {
        return steps.countIn(mailbox, Set.of(StepState.HELD, StepState.FAILED, StepState.UNCERTAIN));
    }

    /** Bytes of what left for these messages are no longer needed; to be called inside a transaction. */
    public void clearContent(Collection<Long> messages) {
        bytes.remove(steps.idsOfMessages(messages));
    }

    /**
     * @param tag the mark of a message that lies between two, in the order of letters
     */
    public record Marked(long message, String tag) {}

    /** Messages that carry a mark between two, both included, by their first such mark; mail that is gone is left out. */
    @Transactional(readOnly = true)
    public List<Marked> markedBetween(UUID mailbox, String first, String last) {
        return steps.markedBetween(mailbox, first, last).stream()
                .map(row -> new Marked(((Number) row[0]).longValue(), (String) row[1]))
                .toList();
    }

    private static StepView view(StepEntity step) {
        return new StepView(
                step.id(),
                step.messageId(),
                step.ruleId(),
                step.ruleVersion(),
                step.ruleName(),
                step.kind(),
                StepDetail.statement(step),
                step.recipient(),
                step.state(),
                step.hasMail(),
                step.because(),
                reason(step).map(Reason::source).filter(source -> !source.isEmpty()),
                step.advice().map(Advice::with),
                step.attempts(),
                step.plannedAt(),
                step.settledAt(),
                acts(step));
    }
}
