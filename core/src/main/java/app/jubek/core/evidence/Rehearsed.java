package app.jubek.core.evidence;

import app.jubek.core.decide.Decision;
import app.jubek.core.decide.DecisionContext;
import app.jubek.core.decide.Engine;
import app.jubek.core.safety.RepliesGiven;
import app.jubek.core.safety.ReplyHistory;
import app.jubek.core.step.ReplyOptions;
import app.jubek.core.step.Step;
import app.jubek.core.view.MessageView;
import java.time.Instant;
import java.util.BitSet;
import java.util.Comparator;
import java.util.Optional;
import java.util.Set;

/**
 * What would really be done with the messages of an evidence. The edited rule's answers are given one after the other, in
 * the order of arrival, so that who was answered is not answered again too soon; of other rules nobody was answered yet.
 */
public final class Rehearsed {
    private final Evidence evidence;
    private final DecisionContext at;
    private final BitSet fenced;
    private final Optional<Step.Reply> reply;
    private final Answerable answerable;
    private final RepliesGiven given = new RepliesGiven();
    private int answered;

    private Rehearsed(Evidence evidence, DecisionContext at, Answerable answerable) {
        this.answerable = answerable;
        this.evidence = evidence;
        this.at = at;
        this.fenced = evidence.past().holding(evidence.book().fence());
        this.reply = evidence.edited().steps().stream()
                .filter(Step.Reply.class::isInstance)
                .map(Step.Reply.class::cast)
                .findFirst();
        reply.ifPresent(step -> answerAll(step.options()));
    }

    /**
     * @param at of the mailbox; the context of each message, as at its arrival, takes its message's place
     * @param answerable what is known of these messages from the last time
     */
    public static Rehearsed of(Evidence evidence, DecisionContext at, Answerable answerable) {
        return new Rehearsed(evidence, at, answerable);
    }

    /** How many of the messages that the rule picks it would answer; empty when it answers none by what it does. */
    public Optional<Integer> answered() {
        return reply.map(step -> answered);
    }

    public Decision decision(MessageResult result) {
        MessageView seen = result.message().seen();
        DecisionContext then = at.of(seen.context().atArrival())
                .after(before(seen, result.message().received()));
        return Engine.decide(seen, then, fenced.get(result.at()), evidence.trace(result));
    }

    private void answerAll(ReplyOptions options) {
        String key = ReplyHistory.key(evidence.edited().id(), options);
        Engine.AnswersBy answersBy = Engine.AnswersBy.of(evidence.edited(), options);
        evidence.results().stream()
                .filter(result -> result.counters().contains(Counter.PICKED))
                .sorted(Comparator.comparing(MessageResult::at))
                .filter(result -> isFirstToAnswer(result) && wouldAnswer(result, options, key, answersBy))
                .forEach(result -> {
                    answered++;
                    MessageView seen = result.message().seen();
                    Set<String> senders = ReplyHistory.senders(seen.message(), options.to());
                    given.note(new ReplyHistory.Entry(
                            key, senders, result.message().received()));
                });
    }

    /** Of several rules that answer only the first does. */
    private boolean isFirstToAnswer(MessageResult result) {
        return evidence.takenBy(result).stream()
                .filter(rule -> rule.steps().stream().anyMatch(Step.Reply.class::isInstance))
                .findFirst()
                .filter(rule -> rule.id().equals(evidence.edited().id()))
                .isPresent();
    }

    private boolean wouldAnswer(MessageResult result, ReplyOptions options, String key, Engine.AnswersBy answersBy) {
        MessageView seen = result.message().seen();
        boolean mayBe = answerable.is(
                at.own(),
                answersBy,
                result.message().id(),
                () -> Engine.againstAnswer(seen, at.of(seen.context().atArrival()), evidence.edited(), options)
                        .isEmpty());
        return mayBe
                && before(seen, result.message().received())
                        .against(
                                key,
                                options.frequency(),
                                ReplyHistory.senders(seen.message(), options.to()),
                                result.message().received())
                        .isEmpty();
    }

    private ReplyHistory before(MessageView seen, Instant received) {
        return reply.map(step ->
                        ReplyHistory.senders(seen.message(), step.options().to()))
                .map(senders -> given.before(senders, received))
                .orElse(ReplyHistory.empty());
    }
}
