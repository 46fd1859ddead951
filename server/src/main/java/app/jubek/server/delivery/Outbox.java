package app.jubek.server.delivery;

import app.jubek.core.address.MailAddress;
import app.jubek.core.outgoing.Composed;
import app.jubek.core.outgoing.Composer;
import app.jubek.core.plan.NotDone;
import app.jubek.core.plan.PlannedStep;
import app.jubek.core.plan.Reason;
import app.jubek.core.step.Step;
import app.jubek.core.step.StepState;
import app.jubek.formats.rulebook.RuleBookJson;
import app.jubek.server.platform.Refused;
import java.time.Clock;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.data.domain.Limit;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Every step of every mailbox, from its planning to its end. */
@Service
public class Outbox {
    static final String CHANNEL = "jubek_steps";

    private final StepRepository steps;
    private final JdbcClient jdbc;
    private final Clock clock;

    Outbox(StepRepository steps, JdbcClient jdbc, Clock clock) {
        this.steps = steps;
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /**
     * The plan for one stored message.
     *
     * @param composer makes the octets of what leaves, frozen now
     */
    public record Plan(
            UUID mailbox,
            long message,
            Composer.Original original,
            Composer composer,
            List<PlannedStep> planned,
            List<NotDone> notDone) {}

    /** Stores the plan and wakes the workers after the commit; to be called inside the transaction that decided. */
    @Transactional
    public void plan(Plan plan) {
        int position = 0;
        for (PlannedStep planned : plan.planned()) {
            StepEntity step = entity(plan, planned, position++);
            step.become(StepState.READY, "");
            steps.save(step);
            noteAnswer(planned, step, plan);
        }
        for (NotDone notDone : plan.notDone()) {
            StepEntity step = entity(plan, notDone.planned(), position++);
            String why = notDone.why();
            if (notDone.waits()) {
                step.become(StepState.HELD, why);
            } else {
                step.settle(StepState.WITHHELD, why, clock.instant());
            }
            steps.save(step);
        }
        wake();
    }

    private StepEntity entity(Plan plan, PlannedStep planned, int position) {
        Step step = planned.step();
        Work work = Work.of(step.kind());
        String detail = RuleBookJson.write(step).toString();
        StepEntity entity = new StepEntity(plan.mailbox(), plan.message(), work, position, detail, clock.instant())
                .by(planned.rule().value(), planned.ruleVersion(), planned.ruleName(), planned.ordinal());
        boolean canBeComposed = work.handsOn()
                || plan.original().message().returnPath().address().isPresent();
        if (!work.leaves() || !canBeComposed) {
            return entity;
        }
        Composed composed = plan.composer().compose(planned, plan.original(), clock.instant());
        String sender =
                composed.outgoing().envelopeSender().map(MailAddress::address).orElse("");
        return entity.leaving(
                composed.outgoing().recipient().address(), sender, composed.messageId(), composed.octets());
    }

    private void noteAnswer(PlannedStep planned, StepEntity step, Plan plan) {
        if (step.kind() != Work.REPLY) {
            return;
        }
        steps.flush();
        Set<String> writers = plan.original().message().writer().map(MailAddress::key).stream()
                .collect(Collectors.toSet());
        writers.add(MailAddress.of(step.recipient()).key());
        for (String writer : writers) {
            jdbc.sql("insert into reply_ledger (mailbox_id, rule_id, writer, at, step_id) values (?, ?, ?, ?, ?)")
                    .params(
                            plan.mailbox(),
                            planned.rule().value(),
                            writer,
                            java.sql.Timestamp.from(clock.instant()),
                            step.id())
                    .update();
        }
    }

    private void wake() {
        jdbc.sql("select pg_notify(?, '')").param(CHANNEL).query((row, n) -> n).list();
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
        if (act == StepView.Act.DROP) {
            step.settle(StepState.DROPPED, "dropped by a person", clock.instant());
        } else {
            step.become(StepState.READY, "");
            step.tryAgain();
            wake();
        }
        return view(steps.save(step));
    }

    private static List<StepView.Act> acts(StepEntity step) {
        return switch (step.state()) {
            case HELD ->
                step.note().contains(Reason.HOURLY_LIMIT.words())
                        ? List.of(StepView.Act.LET_GO, StepView.Act.DROP)
                        : List.of(StepView.Act.DROP);
            case FAILED, UNCERTAIN -> List.of(StepView.Act.TRY_AGAIN, StepView.Act.DROP);
            default -> List.of();
        };
    }

    private static StepView view(StepEntity step) {
        return new StepView(
                step.id(),
                step.messageId(),
                step.ruleId(),
                step.ruleVersion(),
                step.ruleName(),
                step.kind(),
                StepDetail.words(step),
                step.recipient(),
                step.state(),
                step.note(),
                step.attempts(),
                step.plannedAt(),
                step.settledAt(),
                acts(step));
    }
}
