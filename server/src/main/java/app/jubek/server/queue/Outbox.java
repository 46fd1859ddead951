package app.jubek.server.queue;

import app.jubek.core.address.MailAddress;
import app.jubek.core.bounce.Bounce;
import app.jubek.core.outgoing.Composer;
import app.jubek.core.outgoing.EditedAnswer;
import app.jubek.core.plan.Advice;
import app.jubek.core.plan.AfterAnswer;
import app.jubek.core.plan.NotDone;
import app.jubek.core.plan.PlannedPhrase;
import app.jubek.core.plan.PlannedStep;
import app.jubek.core.plan.Reason;
import app.jubek.core.plan.StepNote;
import app.jubek.core.step.StepState;
import app.jubek.core.wording.Statement;
import app.jubek.server.content.StepContent;
import app.jubek.server.platform.Refused;
import app.jubek.server.signals.Signal;
import app.jubek.server.signals.Signals;
import app.jubek.server.step.StepPlan;
import app.jubek.server.step.StepStanding;
import app.jubek.server.step.StepView;
import app.jubek.server.step.Work;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Every step of every mailbox, from its planning to its end. */
@Service
public class Outbox {
    private final StepRepository steps;
    private final StepMaker maker;
    private final StepActs acts;
    private final StepEdits edits;
    private final CameBack cameBack;
    private final FollowUps followUps;
    private final StepContent bytes;
    private final Signals signals;
    private final Clock clock;

    Outbox(
            StepRepository steps,
            StepMaker maker,
            StepActs acts,
            StepEdits edits,
            CameBack cameBack,
            FollowUps followUps,
            StepContent bytes,
            Signals signals,
            Clock clock) {
        this.edits = edits;
        this.cameBack = cameBack;
        this.followUps = followUps;
        this.steps = steps;
        this.maker = maker;
        this.acts = acts;
        this.bytes = bytes;
        this.signals = signals;
        this.clock = clock;
    }

    /**
     * Stores the plan and wakes the workers after the commit; to be called inside the transaction that decided.
     *
     * @return the steps that are planned, without those that are withheld
     */
    @Transactional
    public List<UUID> plan(StepPlan plan) {
        List<UUID> ids = new ArrayList<>();
        Composer composer = plan.composer().of(plan.planned());
        StepMaker.Subject subject = new StepMaker.Subject(plan.mailbox(), plan.message(), plan.original(), composer);
        AfterAnswer answer = AfterAnswer.of(plan.planned(), plan.notDone());
        int position = 0;
        for (PlannedStep planned : plan.planned()) {
            plan.budget().ask();
            StepMaker.Made made = maker.make(subject, planned, position++);
            made.step().become(StepState.READY);
            if (answer.isAwaitedBy(planned)) {
                made.step().waitForReply();
            }
            plan.wantedBy().filter(who -> mayGoLate(made.step())).ifPresent(made.step()::approve);
            maker.save(made, plan.original());
            plan.wantedBy().ifPresent(who -> steps.postpone(made.step().id(), 0));
            ids.add(made.step().id());
        }
        for (NotDone notDone : plan.notDone()) {
            plan.budget().ask();
            StepMaker.Made made = maker.make(subject, notDone.planned(), position++);
            if (notDone.waits()) {
                made.step().become(StepState.HELD, notDone.statement());
                if (answer.isAwaitedBy(notDone.planned())) {
                    made.step().waitForReply();
                }
                maker.save(made, plan.original());
            } else {
                made.step().settle(StepState.WITHHELD, notDone.statement(), clock.instant());
                steps.save(made.step());
            }
        }
        wake(plan.mailbox());
        return ids;
    }

    /** An answer goes out though its message is old, unless its rule waits for approval anyway. */
    private static boolean mayGoLate(StepEntity step) {
        return step.kind() == Work.REPLY && !step.release().isOnApproval();
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

    /** What a bounce tells of what this mailbox sent; to be called inside the transaction that stores the bounce. */
    @Transactional
    public void cameBack(UUID mailbox, Bounce bounce) {
        if (!cameBack.note(mailbox, bounce).isEmpty()) {
            wake(mailbox);
        }
    }

    /**
     * A person answered one of these Message-IDs; to be called inside the transaction that takes note of the answer.
     *
     * @param who empty for an answer from this mailbox
     */
    @Transactional
    public void answered(UUID mailbox, Optional<MailAddress> who, Collection<String> references) {
        if (!references.isEmpty() && followUps.answered(mailbox, who, references)) {
            wake(mailbox);
        }
    }

    /** What left this mailbox under a Message-ID. */
    @Transactional(readOnly = true)
    public Optional<StepView> sentAs(UUID mailbox, String messageId) {
        return views(steps.findByMailboxIdAndOutgoingId(mailbox, messageId)).stream()
                .findFirst();
    }

    /** Whoever got it says that it is dealt with, or else that it is not for them. */
    @Transactional
    public void said(UUID mailbox, StepView handedOn, boolean dealtWith) {
        if (dealtWith) {
            followUps.end(handedOn.message(), StepNote.SAID_TO_BE_DEALT_WITH.with(handedOn.recipient()));
        } else {
            followUps.notFor(handedOn.message(), handedOn.recipient());
        }
        wake(mailbox);
    }

    /** Messages that came back since an instant as nobody dealt with them, or were not for who had them. */
    @Transactional(readOnly = true)
    public List<StepView> broughtBack(UUID mailbox, Instant since, int limit) {
        return views(steps.broughtBack(mailbox, since, Limit.of(limit)));
    }

    @Transactional(readOnly = true)
    public Map<Long, List<StepView>> ofMessages(UUID mailbox, Collection<Long> messages) {
        return messages.isEmpty()
                ? Map.of()
                : views(steps.ofMessages(mailbox, messages)).stream().collect(Collectors.groupingBy(StepView::message));
    }

    /** Some steps by their ids. */
    @Transactional(readOnly = true)
    public Map<UUID, StepView> views(UUID mailbox, Collection<UUID> ids) {
        return ids.isEmpty()
                ? Map.of()
                : views(steps.ofMailbox(mailbox, ids)).stream()
                        .collect(Collectors.toMap(StepView::id, Function.identity()));
    }

    /** Those that wait for a person, the newest first. */
    @Transactional(readOnly = true)
    public List<StepView> held(UUID mailbox, int limit) {
        return views(steps.held(mailbox, Limit.of(limit)));
    }

    /**
     * @throws Refused as not found, when it is none of this mailbox
     */
    @Transactional(readOnly = true)
    public StepView step(UUID mailbox, UUID id) {
        return view(steps.findByIdAndMailboxId(id, mailbox).orElseThrow(Refused::notFound), false);
    }

    /**
     * What a person decides about one step.
     *
     * @param who the person
     * @throws Refused when the step is no longer in a state for it
     */
    @Transactional
    public StepView act(UUID mailbox, UUID id, StepView.Act act, String who) {
        StepEntity step = steps.toActOn(id, mailbox).orElseThrow(Refused::notFound);
        acts.act(step, act, steps.unseenAmong(List.of(id)).contains(id), who);
        steps.saveAndFlush(step);
        wake(mailbox);
        return views(List.of(step)).get(0);
    }

    /**
     * Plans that steps are undone which were done in the mailbox, the last of a message first, and behind new mail.
     *
     * @return the step that undoes it, by the step
     */
    @Transactional
    public Map<UUID, UUID> undo(UUID mailbox, Collection<UUID> of, String who) {
        Map<UUID, UUID> undoing = new HashMap<>();
        for (StepEntity done : steps.toUndo(mailbox, of)) {
            if (done.standing(false).mayBeUndone()) {
                StepEntity undo = maker.undoing(done, who);
                steps.saveAndFlush(undo);
                steps.postpone(undo.id(), 0);
                undoing.put(done.id(), undo.id());
            }
        }
        wake(mailbox);
        return undoing;
    }

    /**
     * Writes an answer anew that is held for a person, and the copies of it; it stays held. Refused when it is no such answer,
     * has left meanwhile, or a machine is to change what a person wrote.
     */
    @Transactional
    public StepView edit(UUID mailbox, UUID id, EditedAnswer words) {
        StepEntity step = steps.toActOn(id, mailbox).orElseThrow(Refused::notFound);
        edits.edit(step, words);
        signals.sendSoon(new Signal(Signal.Topic.STEPS, mailbox));
        return views(List.of(step)).get(0);
    }

    /** What leaves, and waits for a person, a destination or its time; what has waited longest comes first. */
    @Transactional(readOnly = true)
    public List<StepView> waiting(UUID mailbox, int limit) {
        return views(steps.waiting(mailbox, Limit.of(limit)));
    }

    /** Answers that were withheld since an instant while the message was filed away, and that nobody has seen to. */
    @Transactional(readOnly = true)
    public List<StepView> unseen(UUID mailbox, Instant since, int limit) {
        return views(steps.unseen(mailbox, since, Limit.of(limit)));
    }

    /** Every answer to a sender, whatever became of it, newest first. */
    @Transactional(readOnly = true)
    public List<StepView> answersTo(UUID mailbox, String sender, int limit) {
        return views(steps.answersTo(mailbox, sender.toLowerCase(Locale.ROOT), limit));
    }

    /** How many steps of a mailbox wait for a person; of answers that were withheld, those since an instant. */
    @Transactional(readOnly = true)
    public int needsPerson(UUID mailbox, Instant since) {
        return steps.countIn(mailbox, Set.of(StepState.HELD, StepState.FAILED, StepState.UNCERTAIN))
                + steps.countUnseen(mailbox, since)
                + steps.countBroughtBack(mailbox, since);
    }

    /** Bytes of what left for these messages are no longer needed; to be called inside a transaction. */
    public void clearContent(Collection<Long> messages) {
        bytes.remove(steps.idsOfMessages(messages));
    }

    private List<StepView> views(List<StepEntity> found) {
        List<UUID> withheld = found.stream()
                .filter(step -> step.kind() == Work.REPLY && step.state() == StepState.WITHHELD)
                .map(StepEntity::id)
                .toList();
        Set<UUID> unseen = withheld.isEmpty() ? Set.of() : steps.unseenAmong(withheld);
        return found.stream()
                .map(step -> view(step, unseen.contains(step.id())))
                .toList();
    }

    private static StepView view(StepEntity step, boolean unseen) {
        StepStanding standing = step.standing(unseen);
        return new StepView(
                step.id(),
                step.messageId(),
                step.ruleId(),
                step.ruleVersion(),
                step.ruleName(),
                step.kind(),
                statement(step),
                step.recipient(),
                step.state(),
                step.hasMail(),
                step.because(),
                standing.reason().map(Reason::source).filter(source -> !source.isEmpty()),
                step.advice().map(Advice::with),
                step.attempts(),
                step.plannedAt(),
                step.settledAt(),
                step.release().statement(),
                step.waitsForItsTime() ? step.releaseAt() : Optional.empty(),
                step.releasedBy(),
                step.isEdited(),
                standing.mayBeEdited(),
                standing.mayBeUndone(),
                standing.acts());
    }

    private static Statement statement(StepEntity step) {
        return switch (step.kind()) {
            case BRING_BACK -> PlannedPhrase.BROUGHT_BACK.with();
            case FOLLOW_UP ->
                step.state() == StepState.READY ? step.asked().statement() : PlannedPhrase.BROUGHT_BACK.with();
            case UNDO -> PlannedPhrase.UNDONE_STEP.with(step.asked().statement());
            case ANSWER_COPY -> PlannedPhrase.COPY_OF_REPLY_TO.with(step.recipient());
            default -> step.asked().statement();
        };
    }
}
