package app.jubek.core.decide;

import app.jubek.core.address.MailAddress;
import app.jubek.core.criteria.AddressTest;
import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.Group;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.plan.NotDone;
import app.jubek.core.plan.PlannedStep;
import app.jubek.core.plan.Reason;
import app.jubek.core.rule.Rule;
import app.jubek.core.safety.LoopGuard;
import app.jubek.core.safety.Refusal;
import app.jubek.core.safety.ReplyGuard;
import app.jubek.core.step.Step;
import app.jubek.core.step.StepKind;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** Adds up the steps of the rules that picked one message, and keeps back what must not be done. */
final class Planning {
    /** Mail leaves first, then marks are set, and only then is the message moved. */
    private static final List<StepKind> ORDER =
            List.of(StepKind.FORWARD, StepKind.REDIRECT, StepKind.REPLY, StepKind.MARK, StepKind.FILE);

    private final ReadMessage message;
    private final Surroundings at;
    private final boolean fenced;
    private final LoopGuard loops;
    private final ReplyGuard replies;
    private final List<PlannedStep> planned = new ArrayList<>();
    private final List<NotDone> notDone = new ArrayList<>();
    private final Set<String> asked = new HashSet<>();
    private boolean replyAsked;

    Planning(ReadMessage message, Surroundings at, boolean fenced) {
        this.message = message;
        this.at = at;
        this.fenced = fenced;
        this.loops = new LoopGuard(at.hops());
        this.replies = new ReplyGuard(at.hops());
    }

    void add(Rule rule) {
        for (int i = 0; i < rule.steps().size(); i++) {
            Step step = rule.steps().get(i);
            int ordinal = i;
            if (step instanceof Step.HandOn handOn) {
                handOn.to().forEach(to -> handOn(planned(rule, ordinal, narrowed(handOn, to)), to));
            } else if (step instanceof Step.Reply reply) {
                reply(planned(rule, ordinal, reply), reply, rule);
            } else if (asked.add(step.done())) {
                planned.add(planned(rule, ordinal, step));
            }
        }
    }

    Decision decision(List<Outcome> trace) {
        List<PlannedStep> inOrder = planned.stream()
                .sorted(Comparator.comparingInt(p -> ORDER.indexOf(p.step().kind())))
                .toList();
        return new Decision(inOrder, notDone, trace);
    }

    private void handOn(PlannedStep step, MailAddress to) {
        if (!asked.add(step.step().kind() + " " + to.key())) {
            withhold(step, new Refusal(Reason.SAME_DESTINATION, Optional.of(to.address())));
            return;
        }
        Optional<Refusal> against = fence().or(() -> loops.againstHandingOn(message, at.own()))
                .or(() -> loops.againstDestination(message, at.own(), to));
        if (against.isPresent()) {
            withhold(step, against.get());
        } else if (!at.own().isInside(to)) {
            notDone.add(new NotDone(step, true, Reason.OUTSIDE, Optional.of(to.address())));
        } else {
            planned.add(step);
        }
    }

    private void reply(PlannedStep step, Step.Reply reply, Rule rule) {
        if (replyAsked) {
            withhold(step, new Refusal(Reason.OVERTAKEN, Optional.empty()));
            return;
        }
        replyAsked = true;
        ReplyGuard.Circumstances circumstances =
                new ReplyGuard.Circumstances(at.own(), aliases(rule.picksOut()).toList(), at.conversation());
        Optional<Refusal> against = replies.against(message, circumstances).stream()
                .findFirst()
                .or(() -> at.ledger().against(rule.id(), reply.oncePer(), at.now()));
        if (against.isPresent()) {
            withhold(step, against.get());
        } else if (at.isOverLate()) {
            notDone.add(new NotDone(step, true, Reason.OVER_LATE, Optional.empty()));
        } else {
            planned.add(step);
        }
    }

    private Optional<Refusal> fence() {
        return fenced ? Optional.of(new Refusal(Reason.FENCE, Optional.empty())) : Optional.empty();
    }

    private void withhold(PlannedStep step, Refusal refusal) {
        notDone.add(new NotDone(step, false, refusal.reason(), refusal.detail()));
    }

    private static PlannedStep planned(Rule rule, int ordinal, Step step) {
        return new PlannedStep(rule.id(), rule.version(), rule.name(), ordinal, step);
    }

    private static Step narrowed(Step.HandOn step, MailAddress to) {
        return step instanceof Step.Forward forward
                ? new Step.Forward(List.of(to), forward.note())
                : new Step.Redirect(List.of(to));
    }

    private static Stream<MailAddress> aliases(Criterion criterion) {
        if (criterion instanceof Group group) {
            return group.criteria().stream().flatMap(Planning::aliases);
        }
        boolean named = criterion instanceof AddressTest test
                && test.part() == AddressTest.Part.RECIPIENT
                && test.how() == AddressTest.How.IS
                && !test.negated();
        return named ? ((AddressTest) criterion).values().stream().map(MailAddress::of) : Stream.empty();
    }
}
