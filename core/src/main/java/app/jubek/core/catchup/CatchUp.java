package app.jubek.core.catchup;

import app.jubek.core.corpus.Corpus;
import app.jubek.core.corpus.PastMessage;
import app.jubek.core.decide.Decision;
import app.jubek.core.decide.DecisionContext;
import app.jubek.core.decide.Engine;
import app.jubek.core.decide.Trace;
import app.jubek.core.evidence.PastRun;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.plan.PlannedStep;
import app.jubek.core.plan.Sending;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.rule.RuleId;
import app.jubek.core.safety.RepliesGiven;
import app.jubek.core.safety.ReplyHistory;
import app.jubek.core.step.Step;
import app.jubek.core.step.StepKind;
import app.jubek.core.wording.Code;
import app.jubek.core.wording.Statement;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Chosen rules over mail that is already there. Criteria and hours are judged as the evidence judges them; a rule's days are
 * not looked at, as no old mail may fall into those. What leaves is judged as if the message had just come in: that it is
 * old was looked at by the person who wants it.
 */
public final class CatchUp {
    private final RuleBook rules;
    private final Corpus.View past;
    private final BitSet among;
    private final DecisionContext at;
    private final Terms terms;
    private final Known known;
    private final BitSet fenced;

    /**
     * @param rules the chosen ones alone
     * @param among where the messages are that it may touch
     * @param at of the mailbox, now
     */
    public CatchUp(RuleBook rules, Corpus.View past, BitSet among, DecisionContext at, Terms terms, Known known) {
        this.rules = rules;
        this.past = past;
        this.among = among;
        this.at = at;
        this.terms = terms;
        this.known = known;
        this.fenced = past.holding(rules.fence());
    }

    /** Some rules of a book, in its order, with its fence; those that are paused are not among them. */
    public static RuleBook chosen(RuleBook book, Collection<RuleId> ids) {
        return new RuleBook(some(book.rules(), ids), book.fence(), some(book.tail(), ids));
    }

    private static List<Rule> some(List<Rule> rules, Collection<RuleId> ids) {
        return rules.stream()
                .filter(rule -> rule.on() && ids.contains(rule.id()))
                .map(Rule::onAnyDay)
                .toList();
    }

    /** Where the messages are that one of the rules may pick, in the order of their arrival. */
    public List<Integer> candidates() {
        BitSet found = new BitSet();
        rules.all().forEach(rule -> found.or(past.holding(rule.picksOut())));
        found.and(among);
        return found.stream().boxed().toList();
    }

    /**
     * What is to be done with a message; empty when no rule picks it.
     *
     * @param since replies that a catch-up has given which are not among those known
     */
    public Optional<Task> task(int place, RepliesGiven since) {
        Trace trace = new PastRun(rules, past, at.opening()).trace(place);
        return trace.picking().isEmpty() ? Optional.empty() : Optional.of(task(place, trace, since));
    }

    private Task task(int place, Trace trace, RepliesGiven since) {
        PastMessage message = past.message(place);
        DecisionContext now =
                at.of(message.seen().context().cameIn(at.now())).after(replies(message.message(), trace, since));
        Decision decision = Engine.decide(message.seen(), now, fenced.get(place), trace);
        List<PlannedStep> steps = new ArrayList<>();
        List<Task.Left> left = new ArrayList<>();
        decision.notDone().forEach(not -> left.add(new Task.Left(not.planned(), not.statement())));
        for (PlannedStep step : decision.planned()) {
            against(message, step)
                    .map(Code::with)
                    .ifPresentOrElse(why -> left.add(new Task.Left(step, why)), () -> steps.add(step));
        }
        return withoutLosing(message, steps, left);
    }

    private ReplyHistory replies(ReadMessage message, Trace trace, RepliesGiven since) {
        Set<String> senders = trace.picking().stream()
                .flatMap(rule -> rule.steps().stream())
                .flatMap(step -> step instanceof Step.Reply reply ? Stream.of(reply) : Stream.empty())
                .flatMap(reply -> ReplyHistory.senders(message, reply.options().to()).stream())
                .collect(Collectors.toSet());
        if (senders.isEmpty() || !terms.replies()) {
            return ReplyHistory.empty();
        }
        return new ReplyHistory(
                Stream.concat(known.replies(senders).entries().stream(), since.to(senders).entries().stream())
                        .toList());
    }

    private Optional<LeftOut> against(PastMessage message, PlannedStep planned) {
        StepKind kind = planned.step().kind();
        if (kind == StepKind.NOTIFY) {
            return Optional.of(LeftOut.NO_OLD_NOTICES);
        }
        if (kind == StepKind.REPLY && !terms.replies()) {
            return Optional.of(LeftOut.NO_REPLIES_WANTED);
        }
        if ((kind.handsOn() || kind == StepKind.FOLLOW_UP) && !terms.handOvers()) {
            return Optional.of(LeftOut.NO_HAND_OVERS_WANTED);
        }
        if (isThere(message, planned.step())) {
            return Optional.of(LeftOut.THERE_ALREADY);
        }
        return known.isPlanned(message.id(), planned) ? Optional.of(LeftOut.DONE_BEFORE) : Optional.empty();
    }

    private boolean isThere(PastMessage message, Step step) {
        return step instanceof Step.File file
                && file.target().mailbox().isEmpty()
                && file.target().folder().equalsIgnoreCase(known.folder(message.id()));
    }

    /** Nothing goes out of sight that was to be handed on first, and was not. */
    private static Task withoutLosing(PastMessage message, List<PlannedStep> steps, List<Task.Left> left) {
        boolean handedOn = left.stream()
                .noneMatch(
                        one -> one.step().step().kind().handsOn() && !one.why().is(LeftOut.DONE_BEFORE));
        if (handedOn) {
            return new Task(message, steps, left);
        }
        List<PlannedStep> kept =
                steps.stream().filter(step -> !takesAway(step.step())).toList();
        List<Task.Left> more = new ArrayList<>(left);
        steps.stream()
                .filter(step -> takesAway(step.step()))
                .forEach(step -> more.add(new Task.Left(step, LeftOut.NOT_HANDED_ON.with())));
        return new Task(message, kept, more);
    }

    private static boolean takesAway(Step step) {
        boolean elsewhere =
                step instanceof Step.File file && file.target().mailbox().isPresent();
        return elsewhere || step.kind() == StepKind.TRASH || step.kind() == StepKind.DELETE;
    }

    /** The reply that a step gives to somebody, as it counts for later ones. */
    Optional<ReplyHistory.Entry> replyOf(PlannedStep step, PastMessage message) {
        boolean copy = step.sending().filter(Sending::isCopy).isPresent();
        if (!(step.step() instanceof Step.Reply reply) || copy) {
            return Optional.empty();
        }
        return Optional.of(new ReplyHistory.Entry(
                ReplyHistory.key(step.rule(), reply.options()),
                ReplyHistory.senders(message.message(), reply.options().to()),
                at.now()));
    }

    /** What a step does, without what differs from message to message. */
    Statement said(PlannedStep step) {
        if (step.sending().isPresent() || step.step() instanceof Step.HandOn) {
            return step.statement();
        }
        return rules.find(step.rule())
                .filter(rule -> step.ordinal() < rule.steps().size())
                .map(rule -> rule.steps().get(step.ordinal()).statement())
                .orElseGet(step::statement);
    }
}
