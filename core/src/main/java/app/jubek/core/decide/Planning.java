package app.jubek.core.decide;

import app.jubek.core.address.MailAddress;
import app.jubek.core.criteria.AddressTest;
import app.jubek.core.criteria.InHand;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.message.Role;
import app.jubek.core.plan.NotDone;
import app.jubek.core.plan.PlannedStep;
import app.jubek.core.plan.Reason;
import app.jubek.core.plan.Sending;
import app.jubek.core.rule.Rule;
import app.jubek.core.safety.Ledger;
import app.jubek.core.safety.LoopGuard;
import app.jubek.core.safety.Refusal;
import app.jubek.core.safety.ReplyGuard;
import app.jubek.core.step.AnswersTo;
import app.jubek.core.step.Into;
import app.jubek.core.step.Manner;
import app.jubek.core.step.Step;
import app.jubek.core.step.StepKind;
import app.jubek.core.template.Letter;
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
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** Adds up the steps of the rules that picked one message, and keeps back what must not be done. */
final class Planning {
    private static final String LEFT_IN_JUNK = "lies in junk, and no rule takes it out of there, so none acts on it";

    private final InHand inHand;
    private final ReadMessage message;
    private final Surroundings at;
    private final boolean fenced;
    private final LoopGuard loops;
    private final ReplyGuard replies;
    private final Map<String, PlannedStep> planned = new LinkedHashMap<>();
    private final List<NotDone> notDone = new ArrayList<>();
    private final Set<String> asked = new HashSet<>();
    private boolean replyAsked;

    Planning(InHand inHand, Surroundings at, boolean fenced) {
        this.inHand = inHand;
        this.message = inHand.message();
        this.at = at;
        this.fenced = fenced;
        this.loops = new LoopGuard(at.hops());
        this.replies = new ReplyGuard(at.hops());
    }

    Decision decision(Trace trace, List<String> notes) {
        List<Rule> picking = IntStream.range(0, trace.size())
                .filter(trace::isPicked)
                .mapToObj(i -> trace.get(i).rule())
                .toList();
        if (at.setting().junk() && picking.stream().noneMatch(Rule::takesOutOfJunk)) {
            return new Decision(
                    List.of(),
                    List.of(),
                    Stream.concat(notes.stream(), Stream.of(LEFT_IN_JUNK)).toList(),
                    trace);
        }
        picking.forEach(this::add);
        settleCollisions();
        List<PlannedStep> inOrder = planned.values().stream()
                .sorted(Comparator.comparingInt(p -> p.step().kind().ordinal()))
                .toList();
        return new Decision(inOrder, notDone, notes, trace);
    }

    private void add(Rule rule) {
        inHand.budget().ask();
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
        if (asked == Step.Plain.OUT_OF_JUNK && !at.setting().junk()) {
            return;
        }
        Step step = asked;
        if (asked instanceof Step.File file) {
            step = new Step.File(folder(file.into(), rule));
        } else if (asked instanceof Step.Copy copy) {
            step = new Step.Copy(folder(copy.into(), rule));
        } else if (asked instanceof Step.LookBy look) {
            step = look.mark(
                    LocalDate.ofInstant(at.setting().received(), at.setting().zone()));
        }
        if (isAskedFirst(step.done(), rule)) {
            PlannedStep wanted = planned(rule, ordinal, step);
            Optional<Refusal> against = fence().filter(fence ->
                    Into.of(wanted.step()).flatMap(Into::mailbox).isPresent());
            against.ifPresentOrElse(
                    why -> withhold(wanted, why),
                    () -> planned.put(wanted.step().done(), wanted));
        }
    }

    private Into folder(Into into, Rule rule) {
        Listed listed = new Listed(rule.picksOut(), inHand);
        return into.each()
                .flatMap(each -> each == Into.Each.SENDER ? listed.sender() : listed.value())
                .map(into::below)
                .orElseGet(into::itself);
    }

    /** What was asked for before is done once; all who asked are named. */
    private boolean isAskedFirst(String what, Rule rule) {
        if (asked.add(what)) {
            return true;
        }
        Optional.ofNullable(planned.remove(what)).ifPresent(step -> planned.put(what, step.alsoBy(rule.name())));
        return false;
    }

    private void handOn(Rule rule, int ordinal, Step.HandOn step) {
        Set<MailAddress> to = new LinkedHashSet<>(step.to());
        for (String group : step.groups()) {
            List<MailAddress> members = at.setting().people().members(group);
            to.addAll(members);
            if (members.isEmpty()) {
                hold(planned(rule, ordinal, step), new Refusal(Reason.GROUP_EMPTY, Optional.of(group)));
            }
        }
        to.forEach(one -> handOn(rule, planned(rule, ordinal, step.narrowedTo(one)), one));
    }

    private void handOn(Rule rule, PlannedStep step, MailAddress to) {
        String what = step.step().kind() + " " + to.key();
        if (!asked.add(what)) {
            planned.computeIfPresent(what, (key, first) -> leavingToo(first.alsoBy(step.ruleName()), step));
            return;
        }
        Optional<Refusal> against = fence().or(() -> loops.againstHandingOn(message, at.own()))
                .or(() -> loops.againstDestination(message, at.own(), to));
        if (against.isPresent()) {
            withhold(step, against.get());
        } else if (!at.mayGetMail(to)) {
            hold(step, new Refusal(Reason.OUTSIDE, Optional.of(to.address())));
        } else if (step.step() instanceof Step.Forward forward) {
            settle(what, step, new Writing(inHand, at, rule).note(forward.cover(), to));
        } else {
            Sending untouched = new Sending(Letter.none(), to, at.own().identity(), false);
            settle(what, step, Writing.Result.written(untouched));
        }
    }

    /** What the part of a header says that was not read, nobody knows, so a person looks first. */
    private void settle(String what, PlannedStep step, Writing.Result written) {
        Writing.Result result =
                written.held().isEmpty() && message.headerCut() ? written.held(Reason.HEADER_CUT) : written;
        settled(what, step, result);
    }

    private void settled(String what, PlannedStep step, Writing.Result result) {
        PlannedStep written = result.sending().map(step::with).orElse(step);
        result.held().ifPresentOrElse(why -> hold(written, why), () -> planned.put(what, written));
    }

    /** A later rule may want the message out of the inbox, when the first one does not. */
    private static PlannedStep leavingToo(PlannedStep first, PlannedStep later) {
        boolean adds = ((Step.HandOn) later.step()).leaves() && !((Step.HandOn) first.step()).leaves();
        return adds ? first.with(((Step.HandOn) first.step()).leaving()) : first;
    }

    private void reply(PlannedStep step, Step.Reply reply, Rule rule) {
        if (replyAsked) {
            withhold(step, Refusal.of(Reason.OVERTAKEN));
            return;
        }
        replyAsked = true;
        Manner manner = reply.manner();
        Optional<Refusal> against = againstAnswer(rule, manner);
        if (against.isPresent()) {
            withhold(step, against.get());
            return;
        }
        MailAddress to = manner.to().in(message).orElseThrow();
        Writing.Result result = new Writing(inHand, at, rule).answer(reply, to);
        if (result.sending().filter(out -> tellsMore(out, manner)).isPresent() && !isPickedFrom(rule, manner, to)) {
            withhold(step, new Refusal(Reason.ANOTHER_ADDRESS, Optional.of(to.address())));
            return;
        }
        settle("reply", step, result.held().isEmpty() && at.isOverLate() ? result.held(Reason.OVER_LATE) : result);
        result.sending()
                .filter(sending -> planned.containsKey("reply"))
                .ifPresent(sending -> copies(step, manner.copies(), sending));
    }

    private static boolean tellsMore(Sending answer, Manner manner) {
        return manner.quotes() || !answer.letter().documents().isEmpty();
    }

    /**
     * Whether the rule would pick the message from the address that gets the answer, too: From can be forged, to have the
     * documents sent elsewhere. A form's mail is answered at the address in its text by the rule's own choice.
     */
    private boolean isPickedFrom(Rule rule, Manner manner, MailAddress to) {
        boolean written = message.in(Role.FROM).stream().allMatch(to::sameAs);
        if (written || manner.to() instanceof AnswersTo.InText) {
            return true;
        }
        String name = message.writer().map(MailAddress::name).orElse("");
        InHand fromThere = new InHand(message.writtenBy(to.named(name)), at.setting(), inHand.budget());
        return rule.picksOut().holds(fromThere) && !rule.leavesOut().holds(fromThere);
    }

    /** Only an answer with the original in it could carry out what the fence keeps in. */
    private Optional<Refusal> againstAnswer(Rule rule, Manner manner) {
        ReplyGuard.Circumstances circumstances = new ReplyGuard.Circumstances(
                at.own(), aliases(rule), at.setting().conversation() && !manner.inConversations(), manner.to());
        return fence().filter(f -> manner.quotes())
                .or(() -> spam())
                .or(() -> replies.against(message, circumstances).stream().findFirst())
                .or(() -> at.ledger()
                        .against(
                                Ledger.key(rule.id(), manner),
                                manner.often(),
                                Ledger.writers(message, manner.to()),
                                at.now()));
    }

    /** What a mail server takes for junk may well come from another writer than it says. */
    private Optional<Refusal> spam() {
        return at.setting().junk() ? Optional.of(Refusal.of(Reason.SPAM)) : Optional.empty();
    }

    private void copies(PlannedStep step, List<MailAddress> to, Sending answer) {
        for (MailAddress one : to) {
            PlannedStep copy = step.with(new Sending(answer.letter(), one, answer.from(), true));
            if (at.mayGetMail(one)) {
                planned.put("copy of the answer " + one.key(), copy);
            } else {
                hold(copy, new Refusal(Reason.OUTSIDE, Optional.of(one.address())));
            }
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

    private void hold(PlannedStep step, Refusal refusal) {
        notDone.add(new NotDone(step, true, refusal.reason(), refusal.detail()));
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
