package app.jubek.core.decide;

import app.jubek.core.address.MailAddress;
import app.jubek.core.criteria.AddressTest;
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
import app.jubek.core.template.Filling;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** Adds up the steps of the rules that picked one message, and keeps back what must not be done. */
final class Planning {
    private final ReadMessage message;
    private final Surroundings at;
    private final boolean fenced;
    private final LoopGuard loops;
    private final ReplyGuard replies;
    private final Map<String, PlannedStep> planned = new LinkedHashMap<>();
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

    Decision decision(Trace trace, List<String> notes) {
        for (int i = 0; i < trace.size(); i++) {
            if (trace.isPicked(i)) {
                add(trace.get(i).rule());
            }
        }
        settleCollisions();
        List<PlannedStep> inOrder = planned.values().stream()
                .sorted(Comparator.comparingInt(p -> p.step().kind().ordinal()))
                .toList();
        return new Decision(inOrder, notDone, notes, trace);
    }

    private void add(Rule rule) {
        for (int i = 0; i < rule.steps().size(); i++) {
            Step step = rule.steps().get(i);
            int ordinal = i;
            if (step instanceof Step.HandOn handOn) {
                handOn.to().forEach(to -> handOn(planned(rule, ordinal, handOn.narrowedTo(List.of(to))), to));
            } else if (step instanceof Step.Reply reply) {
                reply(planned(rule, ordinal, reply), reply, rule);
            } else if (isAskedFirst(step.done(), rule)) {
                planned.put(step.done(), planned(rule, ordinal, step));
            }
        }
    }

    /** What was asked for before is done once; all who asked are named. */
    private boolean isAskedFirst(String what, Rule rule) {
        if (asked.add(what)) {
            return true;
        }
        Optional.ofNullable(planned.remove(what)).ifPresent(step -> planned.put(what, alsoBy(step, rule.name())));
        return false;
    }

    private static PlannedStep alsoBy(PlannedStep step, String rule) {
        if (step.ruleName().equals(rule) || step.alsoBy().contains(rule)) {
            return step;
        }
        List<String> names =
                Stream.concat(step.alsoBy().stream(), Stream.of(rule)).toList();
        return new PlannedStep(step.rule(), step.ruleVersion(), step.ruleName(), step.ordinal(), step.step(), names);
    }

    private void handOn(PlannedStep step, MailAddress to) {
        String what = step.step().kind() + " " + to.key();
        if (!asked.add(what)) {
            planned.computeIfPresent(what, (key, first) -> leavingToo(alsoBy(first, step.ruleName()), step));
            return;
        }
        Optional<Refusal> against = fence().or(() -> loops.againstHandingOn(message, at.own()))
                .or(() -> loops.againstDestination(message, at.own(), to));
        if (against.isPresent()) {
            withhold(step, against.get());
        } else if (!at.mayGetMail(to)) {
            notDone.add(new NotDone(step, true, Reason.OUTSIDE, Optional.of(to.address())));
        } else {
            planned.put(what, step);
        }
    }

    /** A later rule may want the message out of the inbox, when the first one does not. */
    private static PlannedStep leavingToo(PlannedStep first, PlannedStep later) {
        boolean adds = ((Step.HandOn) later.step()).leaves() && !((Step.HandOn) first.step()).leaves();
        Step step = adds ? leaving((Step.HandOn) first.step()) : first.step();
        return new PlannedStep(
                first.rule(), first.ruleVersion(), first.ruleName(), first.ordinal(), step, first.alsoBy());
    }

    private static Step leaving(Step.HandOn step) {
        return step instanceof Step.Forward forward
                ? new Step.Forward(forward.to(), forward.note(), true)
                : new Step.Redirect(step.to(), true);
    }

    private void reply(PlannedStep step, Step.Reply reply, Rule rule) {
        if (replyAsked) {
            withhold(step, Refusal.of(Reason.OVERTAKEN));
            return;
        }
        replyAsked = true;
        ReplyGuard.Circumstances circumstances = new ReplyGuard.Circumstances(
                at.own(), aliases(rule), at.setting().conversation());
        Optional<Refusal> against = fence().or(
                        () -> replies.against(message, circumstances).stream().findFirst())
                .or(() -> at.ledger().against(rule.id(), reply.oncePer(), at.now()));
        if (against.isPresent()) {
            withhold(step, against.get());
        } else {
            written(reply)
                    .ifPresentOrElse(
                            answer -> answer(planned(rule, step.ordinal(), answer)),
                            () -> notDone.add(new NotDone(step, true, withoutText(reply), Optional.empty())));
        }
    }

    private void answer(PlannedStep step) {
        if (at.isOverLate()) {
            notDone.add(new NotDone(step, true, Reason.OVER_LATE, Optional.empty()));
        } else {
            planned.put("reply", step);
        }
    }

    private Reason withoutText(Step.Reply reply) {
        return reply.template().flatMap(at::template).isEmpty() ? Reason.TEMPLATE_GONE : Reason.TEMPLATE_EMPTY;
    }

    /** The answer with its text; empty where its template is gone, or has none for this message. */
    private Optional<Step> written(Step.Reply reply) {
        if (reply.template().isEmpty()) {
            return Optional.of(reply);
        }
        Filling filling = new Filling(
                message, at.own(), at.setting().received(), at.setting().zone());
        return reply.template()
                .flatMap(at::template)
                .map(template -> template.fill(filling))
                .filter(answer -> !answer.text().isBlank())
                .map(answer -> new Step.Reply(answer.subject(), answer.text(), reply.oncePer()));
    }

    /** To keep goes before to get rid of, and so does to file (RFC 5228 §4.3: keep and fileinto cancel discard). */
    private void settleCollisions() {
        boolean kept = isPlanned(StepKind.KEEP);
        boolean filed = isPlanned(StepKind.FILE);
        if (!kept && !filed) {
            return;
        }
        for (Step getsRid : List.of(Step.Plain.TRASH, Step.Plain.DELETE)) {
            Optional.ofNullable(planned.remove(getsRid.done()))
                    .ifPresent(step -> withhold(step, Refusal.of(kept ? Reason.KEPT : Reason.FILED)));
        }
    }

    private boolean isPlanned(StepKind kind) {
        return planned.values().stream().anyMatch(p -> p.step().kind() == kind);
    }

    private Optional<Refusal> fence() {
        return fenced ? Optional.of(Refusal.of(Reason.FENCE)) : Optional.empty();
    }

    private void withhold(PlannedStep step, Refusal refusal) {
        notDone.add(new NotDone(step, false, refusal.reason(), refusal.detail()));
    }

    private static PlannedStep planned(Rule rule, int ordinal, Step step) {
        return new PlannedStep(rule.id(), rule.version(), rule.name(), ordinal, step);
    }

    /** Recipient addresses that the rule names. */
    private static List<MailAddress> aliases(Rule rule) {
        return rule.picksOut().tests().stream()
                .filter(test -> test instanceof AddressTest address
                        && (address.part() == AddressTest.Part.RECIPIENT || address.part() == AddressTest.Part.TO)
                        && address.how() == AddressTest.How.IS
                        && !address.negated())
                .flatMap(test -> ((AddressTest) test).values().stream())
                .map(MailAddress::of)
                .toList();
    }
}
