package app.jubek.core.decide;

import app.jubek.core.address.MailAddress;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.message.Role;
import app.jubek.core.plan.NotDone;
import app.jubek.core.plan.PlannedStep;
import app.jubek.core.plan.Reason;
import app.jubek.core.plan.Refusal;
import app.jubek.core.plan.Sending;
import app.jubek.core.rule.Rule;
import app.jubek.core.safety.LoopGuard;
import app.jubek.core.step.ReplyOptions;
import app.jubek.core.step.Step;
import app.jubek.core.step.StepKind;
import app.jubek.core.step.TargetFolder;
import app.jubek.core.template.Letter;
import app.jubek.core.view.MessageView;
import app.jubek.core.wording.Statement;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** Adds up the steps of the rules that picked one message, and keeps back what must not be done. */
final class Planning {
    private final MessageView view;
    private final ReadMessage message;
    private final DecisionContext at;
    private final boolean fenced;
    private final LoopGuard loops;
    private final AnswerChecks replies;
    private final Map<Wanted, PlannedStep> planned = new LinkedHashMap<>();
    private final List<NotDone> notDone = new ArrayList<>();
    private final Set<Wanted> asked = new HashSet<>();
    private boolean replyAsked;

    Planning(MessageView view, DecisionContext at, boolean fenced) {
        this.view = view;
        this.message = view.message();
        this.at = at;
        this.fenced = fenced;
        this.loops = new LoopGuard(at.hops());
        this.replies = new AnswerChecks(view, at);
    }

    Decision decision(Trace trace, List<Statement> notes) {
        List<Rule> picking = trace.picking();
        if (at.context().junk() && picking.stream().noneMatch(Rule::takesOutOfJunk)) {
            List<Statement> more = Stream.concat(notes.stream(), Stream.of(DecisionNote.LEFT_IN_JUNK.with()))
                    .toList();
            return new Decision(List.of(), List.of(), true, more, trace);
        }
        picking.forEach(this::add);
        picking.forEach(this::keepUnanswered);
        settleCollisions();
        MailboxSteps steps = new MailboxSteps(planned.values().stream()
                .sorted(Comparator.comparingInt(p -> p.step().kind().ordinal()))
                .toList());
        return new Decision(steps.carriedOut(), notDone, steps.stayInInbox(), notes, trace);
    }

    /** What is done once for a message, however many rules ask for it. */
    private record Wanted(StepKind kind, Object what) {
        static Wanted by(Step step) {
            boolean once = step.kind() == StepKind.NOTIFY || step.kind() == StepKind.FOLLOW_UP;
            return new Wanted(step.kind(), once ? "" : step);
        }

        static Wanted to(StepKind kind, MailAddress to) {
            return new Wanted(kind, to.key());
        }
    }

    private static final Wanted REPLY = new Wanted(StepKind.REPLY, "");

    private void add(Rule rule) {
        view.budget().ask();
        for (int i = 0; i < rule.steps().size(); i++) {
            Step step = rule.steps().get(i);
            int ordinal = i;
            if (step instanceof Step.HandOn handOn) {
                handOn(rule, ordinal, handOn);
            } else if (step instanceof Step.Reply reply) {
                reply(planned(rule, ordinal, reply), reply, rule);
            } else {
                inMailbox(rule, ordinal, step);
            }
        }
    }

    private void inMailbox(Rule rule, int ordinal, Step asked) {
        if (asked == Step.Plain.OUT_OF_JUNK && !at.context().junk()) {
            return;
        }
        Step step = asked;
        if (asked instanceof Step.File file) {
            step = new Step.File(folder(file.target(), rule));
        } else if (asked instanceof Step.Copy copy) {
            step = new Step.Copy(folder(copy.target(), rule));
        } else if (asked instanceof Step.Remind look) {
            step = look.mark(
                    LocalDate.ofInstant(at.context().received(), at.context().zone()));
        }
        Wanted what = Wanted.by(step);
        if (isAskedFirst(what, rule)) {
            PlannedStep wanted = planned(rule, ordinal, step);
            Optional<Refusal> against = fence().filter(fence -> TargetFolder.of(wanted.step())
                            .flatMap(TargetFolder::mailbox)
                            .isPresent())
                    .or(() -> againstFollowingUp(wanted.step()));
            against.ifPresentOrElse(why -> withhold(wanted, why), () -> planned.put(what, wanted));
        }
    }

    /** A colleague's answer is what was waited for. */
    private Optional<Refusal> againstFollowingUp(Step step) {
        boolean colleague = message.in(Role.FROM).stream().anyMatch(at.own()::isInside);
        return step.kind() == StepKind.FOLLOW_UP && colleague && at.context().conversation()
                ? Optional.of(Refusal.of(Reason.CONVERSATION))
                : Optional.empty();
    }

    private TargetFolder folder(TargetFolder into, Rule rule) {
        MatchedValues listed = new MatchedValues(rule.picksOut(), view);
        return into.each()
                .flatMap(each -> each == TargetFolder.Each.SENDER ? listed.sender() : listed.value())
                .map(into::below)
                .orElseGet(into::itself);
    }

    /** What was asked for before is done once; all who asked are named. */
    private boolean isAskedFirst(Wanted what, Rule rule) {
        if (asked.add(what)) {
            return true;
        }
        Optional.ofNullable(planned.remove(what)).ifPresent(step -> planned.put(what, step.alsoBy(rule.name())));
        return false;
    }

    private void handOn(Rule rule, int ordinal, Step.HandOn step) {
        Set<MailAddress> to = new LinkedHashSet<>(step.to());
        for (String group : step.groups()) {
            List<MailAddress> members = at.context().people().members(group);
            to.addAll(members);
            if (members.isEmpty()) {
                hold(planned(rule, ordinal, step), Refusal.of(Reason.GROUP_EMPTY, group));
            }
        }
        to.forEach(one -> handOn(rule, planned(rule, ordinal, step.narrowedTo(one)), one));
    }

    private void handOn(Rule rule, PlannedStep step, MailAddress to) {
        Wanted what = Wanted.to(step.step().kind(), to);
        if (!asked.add(what)) {
            planned.computeIfPresent(what, (key, first) -> leavingToo(first.alsoBy(step.ruleName()), step));
            return;
        }
        Optional<Refusal> against = fence().or(() -> loops.againstHandingOn(message, at.own()))
                .or(() -> loops.againstDestination(message, at.own(), to));
        if (against.isPresent()) {
            withhold(step, against.get());
            return;
        }
        Writing.Result written = step.step() instanceof Step.Forward forward
                ? new Writing(view, at, rule).note(forward.options(), to)
                : Writing.Result.written(new Sending(Letter.none(), to, at.own().identity(), false));
        settle(what, step, written.heldFor(at.againstDestination(to)));
    }

    /** What the part of a header says that was not read, nobody knows, so a person looks first. */
    private void settle(Wanted what, PlannedStep step, Writing.Result written) {
        Writing.Result result =
                written.held().isEmpty() && message.headerCut() ? written.held(Reason.HEADER_CUT) : written;
        settled(what, step, result);
    }

    private void settled(Wanted what, PlannedStep step, Writing.Result result) {
        PlannedStep written = result.sending().map(step::with).orElse(step);
        result.held().ifPresentOrElse(why -> hold(written, why), () -> planned.put(what, written));
    }

    /** A later rule may want the message out of the inbox, when the first one does not. */
    private static PlannedStep leavingToo(PlannedStep first, PlannedStep later) {
        boolean adds = ((Step.HandOn) later.step()).leaves() && !((Step.HandOn) first.step()).leaves();
        return adds ? first.with(((Step.HandOn) first.step()).leaving()) : first;
    }

    /** Only an answer with the original in it could carry out what the fence keeps in. */
    private void reply(PlannedStep step, Step.Reply reply, Rule rule) {
        if (replyAsked) {
            withhold(step, Refusal.of(Reason.SUPERSEDED));
            return;
        }
        replyAsked = true;
        ReplyOptions options = reply.options();
        Optional<Refusal> against = fence().filter(f -> options.quotes()).or(() -> replies.against(rule, options));
        if (against.isPresent()) {
            withhold(step, against.get());
            return;
        }
        MailAddress to = options.to().in(message).orElseThrow();
        Writing.Result result = new Writing(view, at, rule).answer(reply, to);
        if (result.sending().filter(out -> tellsMore(out, options)).isPresent()
                && !replies.isPickedFrom(rule, options, to)) {
            withhold(step, Refusal.of(Reason.ANOTHER_ADDRESS, to.address()));
            return;
        }
        settle(REPLY, step, result.held().isEmpty() && at.isOverLate() ? result.held(Reason.OVER_LATE) : result);
        result.sending()
                .filter(sending -> planned.containsKey(REPLY))
                .ifPresent(sending -> copies(step, options.copies(), sending));
    }

    /** A rule that moves only what it answered leaves the rest where somebody sees it. */
    private void keepUnanswered(Rule rule) {
        boolean unanswered = notDone.stream()
                .anyMatch(not -> !not.waits()
                        && not.reason() != Reason.SUPERSEDED
                        && not.planned().rule().equals(rule.id())
                        && not.planned().step() instanceof Step.Reply reply
                        && reply.options().keepsUnanswered());
        if (!unanswered) {
            return;
        }
        List<Wanted> moves = planned.entrySet().stream()
                .filter(entry -> isAskedOnlyBy(rule, entry.getValue()))
                .filter(entry -> entry.getValue().step().kind().removes())
                .map(Map.Entry::getKey)
                .toList();
        moves.forEach(move -> withhold(planned.remove(move), Refusal.of(Reason.NOT_ANSWERED)));
    }

    private static boolean isAskedOnlyBy(Rule rule, PlannedStep step) {
        return step.rule().equals(rule.id()) && step.alsoBy().isEmpty();
    }

    private static boolean tellsMore(Sending answer, ReplyOptions options) {
        return options.quotes() || !answer.letter().documents().isEmpty();
    }

    private void copies(PlannedStep step, List<MailAddress> to, Sending answer) {
        for (MailAddress one : to) {
            PlannedStep copy = step.with(new Sending(answer.letter(), one, answer.from(), true));
            at.againstDestination(one)
                    .ifPresentOrElse(
                            why -> hold(copy, why), () -> planned.put(new Wanted(StepKind.REPLY, one.key()), copy));
        }
    }

    /** To keep goes before to get rid of, and so does to file (RFC 5228 §4.3: keep and fileinto cancel discard). */
    private void settleCollisions() {
        boolean kept = isPlanned(StepKind.KEEP);
        boolean filed = isPlanned(StepKind.FILE) || isPlanned(StepKind.ARCHIVE);
        if (!kept && !filed) {
            return;
        }
        for (Step getsRid : List.of(Step.Plain.TRASH, Step.Plain.DELETE)) {
            Optional.ofNullable(planned.remove(Wanted.by(getsRid)))
                    .ifPresent(step -> withhold(step, Refusal.of(kept ? Reason.KEPT : Reason.FILED)));
        }
    }

    private boolean isPlanned(StepKind kind) {
        return planned.values().stream().anyMatch(p -> p.step().kind() == kind);
    }

    private Optional<Refusal> fence() {
        return fenced ? Optional.of(Refusal.of(Reason.FENCE)) : Optional.empty();
    }

    private void hold(PlannedStep step, Refusal refusal) {
        notDone.add(new NotDone(step, true, refusal));
    }

    private void withhold(PlannedStep step, Refusal refusal) {
        notDone.add(new NotDone(step, false, refusal));
    }

    private static PlannedStep planned(Rule rule, int ordinal, Step step) {
        return new PlannedStep(rule.id(), rule.version(), rule.name(), ordinal, step);
    }
}
