package app.jubek.server.queue;

import app.jubek.core.address.MailAddress;
import app.jubek.core.message.ByteSource;
import app.jubek.core.outgoing.Composed;
import app.jubek.core.outgoing.Composer;
import app.jubek.core.plan.PlannedStep;
import app.jubek.core.safety.ReplyHistory;
import app.jubek.core.step.FollowUp;
import app.jubek.core.step.Release;
import app.jubek.core.step.Step;
import app.jubek.core.step.StepState;
import app.jubek.formats.rulebook.RuleBookJson;
import app.jubek.server.content.StepContent;
import app.jubek.server.deciding.Composers;
import app.jubek.server.folders.StoredOriginals;
import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.replyhistory.StoredReplyHistory;
import app.jubek.server.step.Work;
import java.time.Clock;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Makes the entry of a planned step and, of one that leaves, its bytes, frozen now. */
@Component
class StepMaker {
    /** Above the place of all that is done. */
    private static final int UNDOING = 10_000;

    private final StepRepository steps;
    private final Mailboxes mailboxes;
    private final StepContent bytes;
    private final StoredReplyHistory history;
    private final StoredOriginals originals;
    private final Composers composers;
    private final Clock clock;

    StepMaker(
            StepRepository steps,
            Mailboxes mailboxes,
            StepContent bytes,
            StoredReplyHistory history,
            StoredOriginals originals,
            Composers composers,
            Clock clock) {
        this.steps = steps;
        this.mailboxes = mailboxes;
        this.bytes = bytes;
        this.originals = originals;
        this.composers = composers;
        this.history = history;
        this.clock = clock;
    }

    /** The message that steps are for. */
    record Subject(UUID mailbox, long message, Composer.Original original, Composer composer) {}

    /** An entry that is not saved yet and, of a step that leaves, its bytes. */
    record Made(StepEntity step, PlannedStep planned, Optional<Composed> composed) {}

    /** A stored message, read again for what a person wants done with it afterwards. */
    Subject stored(Mailbox mailbox, long message) {
        return new Subject(mailbox.id(), message, originals.of(message), composers.of(mailbox));
    }

    Made make(Subject of, PlannedStep planned, int position) {
        Work work = Work.of(planned);
        String detail = RuleBookJson.write(planned.step()).toString();
        StepEntity entity = new StepEntity(of.mailbox(), of.message(), work, position, detail, clock.instant())
                .by(planned.rule().value(), planned.ruleVersion(), planned.ruleName(), planned.ordinal());
        if (planned.step() instanceof FollowUp late) {
            entity.release(
                    late.due(clock.instant(), mailboxes.find(of.mailbox()).opening()));
        }
        if (planned.sending().isEmpty()) {
            boolean toOne = planned.step() instanceof Step.HandOn handOn
                    && handOn.to().size() == 1
                    && handOn.groups().isEmpty();
            StepEntity named =
                    toOne ? entity.to(((Step.HandOn) planned.step()).to().get(0).address()) : entity;
            return new Made(named, planned, Optional.empty());
        }
        Composed composed = of.composer().compose(planned, of.original(), clock.instant());
        String sender =
                composed.outgoing().envelopeSender().map(MailAddress::address).orElse("");
        entity.leaving(composed.outgoing().recipient().address(), sender, composed.messageId());
        entity.release()
                .due(entity.plannedAt(), mailboxes.find(entity.mailboxId()).opening(), Release.FIRST)
                .ifPresent(entity::release);
        return new Made(entity, planned, Optional.of(composed));
    }

    /** Undoes a step; later steps of a message come before earlier ones. */
    StepEntity undoing(StepEntity done, String who) {
        String detail = RuleBookJson.write(done.asked()).toString();
        StepEntity undo = new StepEntity(
                        done.mailboxId(),
                        done.messageId(),
                        Work.UNDO,
                        UNDOING - done.position(),
                        detail,
                        clock.instant())
                .by(done.ruleId(), done.ruleVersion(), done.ruleName(), done.ordinal());
        undo.become(StepState.READY);
        undo.approve(who);
        return undo;
    }

    /** Saves it with its bytes; of an answer it is noted who had it. */
    void save(Made made, Composer.Original original) {
        steps.saveAndFlush(made.step());
        made.composed().ifPresent(composed -> {
            bytes.store(made.step().id(), ByteSource.of(composed.bytes()));
            noteAnswer(made, original);
        });
    }

    private void noteAnswer(Made made, Composer.Original original) {
        if (made.step().kind() != Work.REPLY || !(made.planned().step() instanceof Step.Reply reply)) {
            return;
        }
        history.note(new StoredReplyHistory.Answer(
                made.step().mailboxId(),
                made.step().id(),
                ReplyHistory.key(made.planned().rule(), reply.options()),
                ReplyHistory.senders(original.message(), reply.options().to()),
                clock.instant()));
    }
}
