package app.jubek.core.realtest;

import app.jubek.core.address.MailAddress;
import app.jubek.core.decide.DecisionContext;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.people.OwnSide;
import app.jubek.core.plan.NotDone;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.trial.Trial;
import app.jubek.core.trial.TrialResult;
import app.jubek.core.trial.TrialRun;
import app.jubek.core.view.MessageContext;
import app.jubek.core.view.MessageView;
import app.jubek.core.wording.Statement;
import java.util.List;
import java.util.Optional;

/**
 * A trial as it would come out if its message were sent for real now.
 *
 * @param expected what is to come of it
 * @param against why sending it proves nothing; empty when it can be sent
 */
public record RealTest(TrialResult expected, Optional<Statement> against) {
    /**
     * @param sent the message as it would be sent
     * @param trying as trials are judged: nobody was answered yet, and everybody agreed
     * @param arriving as it would be judged when it came in now
     */
    public static RealTest of(
            RuleBook book, Trial trial, ReadMessage sent, DecisionContext trying, DecisionContext arriving) {
        Judging judging = new Judging(book, trial, trying);
        TrialResult expected = judging.result(sent, arriving.context(), arriving);
        return new RealTest(expected, expected.holds() ? judging.itself() : judging.why(sent, expected));
    }

    /** Why a mailbox can't write to itself for a test; empty where the address is none of its own. */
    public static Optional<Statement> toOneself(OwnSide own, MailAddress from) {
        return own.isOwn(from) ? Optional.of(RealTestPhrase.TO_ONESELF.with(from.address())) : Optional.empty();
    }

    /** Changes one thing after the other, to see which makes the difference. */
    private record Judging(RuleBook book, Trial trial, DecisionContext trying) {
        Optional<Statement> itself() {
            return holds(message(), context()) ? Optional.empty() : Optional.of(RealTestPhrase.DIFFERS_ALREADY.with());
        }

        Optional<Statement> why(ReadMessage sent, TrialResult expected) {
            MailAddress from = sent.sender().orElseThrow();
            MessageContext now = trying.context();
            if (!holds(message(), context())) {
                return itself();
            }
            if (!holds(message().writtenBy(from), context())) {
                return Optional.of(RealTestPhrase.RESTS_ON_SENDER.with(from.address()));
            }
            if (!holds(message(), context().cameIn(now.received()))) {
                return Optional.of(RealTestPhrase.RESTS_ON_TIME.with());
            }
            if (!holds(message(), context().conversing(false))) {
                return Optional.of(RealTestPhrase.RESTS_ON_CONVERSATION.with());
            }
            Optional<NotDone> stands = expected.decision().notDone().stream().findFirst();
            return Optional.of(
                    stands.isPresent() && holds(sent, now)
                            ? RealTestPhrase.NOT_DONE_NOW.with(
                                    stands.get().planned().statement(),
                                    stands.get().statement())
                            : RealTestPhrase.RESTS_ON_WHAT_IS_LEFT_OUT.with());
        }

        private ReadMessage message() {
            return trial.seen().message();
        }

        private MessageContext context() {
            return trial.seen().context();
        }

        private boolean holds(ReadMessage message, MessageContext context) {
            return result(message, context, trying).holds();
        }

        TrialResult result(ReadMessage message, MessageContext context, DecisionContext at) {
            Trial other = new Trial(trial.id(), new MessageView(message, context), trial.expectations());
            return TrialRun.of(book, List.of(other), at).get(0);
        }
    }
}
