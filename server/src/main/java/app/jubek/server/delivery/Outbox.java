package app.jubek.server.delivery;

import app.jubek.core.address.MailAddress;
import app.jubek.core.outgoing.Composed;
import app.jubek.core.outgoing.Composer;
import app.jubek.core.plan.NotDone;
import app.jubek.core.plan.PlannedStep;
import app.jubek.core.plan.Reason;
import app.jubek.core.safety.Ledger;
import app.jubek.core.step.Step;
import app.jubek.core.step.StepState;
import app.jubek.core.text.Budget;
import app.jubek.formats.rulebook.RuleBookJson;
import app.jubek.server.platform.Refused;
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
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Every step of every mailbox, from its planning to its end. */
@Service
public class Outbox {
    static final String CHANNEL = "jubek_steps";

    private final StepRepository steps;
    private final StepOctets octets;
    private final ForwardInstead forwards;
    private final JdbcClient jdbc;
    private final Clock clock;

    Outbox(StepRepository steps, StepOctets octets, ForwardInstead forwards, JdbcClient jdbc, Clock clock) {
        this.steps = steps;
        this.octets = octets;
        this.forwards = forwards;
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /**
     * The plan for one stored message.
     *
     * @param composer makes the octets of what leaves, frozen now
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
            made.step().become(StepState.READY, "");
            save(made);
            noteAnswer(planned, made.step(), plan);
        }
        for (NotDone notDone : plan.notDone()) {
            Made made = make(plan, notDone.planned(), position++);
            if (notDone.waits()) {
                made.step().held(notDone.reason(), notDone.why());
                save(made);
                if (made.composed().isPresent()) {
                    noteAnswer(notDone.planned(), made.step(), plan);
                }
            } else {
                made.step().settle(StepState.WITHHELD, notDone.why(), clock.instant());
                steps.save(made.step());
            }
        }
        wake();
    }

    /** A step and, of one that leaves, its octets. */
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
        made.composed().ifPresent(composed -> octets.freeze(made.step().id(), composed.octets()));
    }

    private void noteAnswer(PlannedStep planned, StepEntity step, Plan plan) {
        if (step.kind() != Work.REPLY || !(planned.step() instanceof Step.Reply reply)) {
            return;
        }
        for (String writer :
                Ledger.writers(plan.original().message(), reply.manner().to())) {
            jdbc.sql("insert into reply_ledger (mailbox_id, answer_key, writer, at, step_id) values (?, ?, ?, ?, ?)")
                    .params(
                            plan.mailbox(),
                            Ledger.key(planned.rule(), reply.manner()),
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
        switch (act) {
            case DROP -> drop(step);
            case FORWARD_INSTEAD -> {
                forwards.plan(step);
                step.settle(StepState.DROPPED, "forwarded instead", clock.instant());
                wake();
            }
            default -> {
                step.become(StepState.READY, "");
                step.letGo();
                steps.postpone(step.id(), 0);
                wake();
            }
        }
        return view(steps.save(step));
    }

    /** An answer that was held and is dropped was never given, so the writer may get another. */
    private void drop(StepEntity step) {
        if (step.state() == StepState.HELD) {
            jdbc.sql("delete from reply_ledger where step_id = ?")
                    .param(step.id())
                    .update();
        }
        step.settle(StepState.DROPPED, "dropped by a person", clock.instant());
    }

    private static List<StepView.Act> acts(StepEntity step) {
        boolean overruled = step.reason().filter(Outbox::mayBeOverruled).isPresent();
        return switch (step.state()) {
            case HELD -> overruled ? List.of(StepView.Act.LET_GO, StepView.Act.DROP) : List.of(StepView.Act.DROP);
            case FAILED ->
                step.reason().filter(Claims.NOT_AS_IT_IS::equals).isPresent()
                        ? List.of(StepView.Act.FORWARD_INSTEAD, StepView.Act.DROP)
                        : List.of(StepView.Act.TRY_AGAIN, StepView.Act.DROP);
            case UNCERTAIN -> List.of(StepView.Act.TRY_AGAIN, StepView.Act.DROP);
            default -> List.of();
        };
    }

    private static boolean mayBeOverruled(String reason) {
        return Arrays.stream(Reason.values()).anyMatch(r -> r.name().equals(reason) && r.mayBeOverruled());
    }

    /** What each rule did, as far as records go back; rules that never acted are left out. */
    @Transactional(readOnly = true)
    public List<RuleUse> uses(UUID mailbox) {
        Map<String, Long> overtaken = new HashMap<>();
        steps.withheldByRule(mailbox, Reason.OVERTAKEN.words())
                .forEach(row -> overtaken.put((String) row[0], (Long) row[1]));
        return steps.uses(mailbox).stream()
                .map(use -> use.with(overtaken.getOrDefault(use.rule(), 0L)))
                .toList();
    }

    /** Every answer to a writer, whatever became of it, newest first. */
    @Transactional(readOnly = true)
    public List<StepView> answersTo(UUID mailbox, String writer, int limit) {
        return steps.answersTo(mailbox, writer.toLowerCase(java.util.Locale.ROOT), limit).stream()
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
                step.advice(),
                step.attempts(),
                step.plannedAt(),
                step.settledAt(),
                acts(step));
    }
}
