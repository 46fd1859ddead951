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
import java.util.Optional;

/**
 * A trial as it would come out if its message were sent for real now.
 *
 * @param expected what is to come of it
 * @param against why sending it proves nothing; empty when it can be sent
 */
public record RealTest(TrialResult expected, Optional<Statement> against) {
    /** Why a mailbox can't write to itself for a test; empty where the address is none of its own. */
    public static Optional<Statement> toOneself(OwnSide own, MailAddress from) {
        return own.isOwn(from) ? Optional.of(RealTestPhrase.TO_ONESELF.with(from.address())) : Optional.empty();
    }

    /**
     * Judges one trial after the other. Of one that would come out otherwise one thing after the other is changed, to see
     * which makes the difference.
     */
    public static final class Judge {
        private final TrialRun trying;
        private final TrialRun arriving;
        private final MessageContext now;

        /**
         * @param trying as trials are judged: nobody was answered yet, and everybody agreed
         * @param arriving as a message would be judged that came in now
         */
        public Judge(RuleBook book, DecisionContext trying, DecisionContext arriving) {
            this.trying = TrialRun.over(book, trying);
            this.arriving = TrialRun.over(book, arriving);
            this.now = arriving.context();
        }

        /**
         * @param sent the message as it would be sent
         */
        public RealTest of(Trial trial, ReadMessage sent) {
            TrialResult expected = arriving.result(seen(trial, sent, now));
            boolean itself = trying.result(trial).holds();
            if (!itself) {
                return new RealTest(expected, Optional.of(RealTestPhrase.DIFFERS_ALREADY.with()));
            }
            return new RealTest(
                    expected, expected.holds() ? Optional.empty() : Optional.of(why(trial, sent, expected)));
        }

        private Statement why(Trial trial, ReadMessage sent, TrialResult expected) {
            ReadMessage message = trial.seen().message();
            MessageContext context = trial.seen().context();
            MailAddress from = sent.sender().orElseThrow();
            if (!holds(trial, message.writtenBy(from), context)) {
                return RealTestPhrase.RESTS_ON_SENDER.with(from.address());
            }
            if (!holds(trial, message, context.cameIn(now.received()))) {
                return RealTestPhrase.RESTS_ON_TIME.with();
            }
            if (!holds(trial, message, context.conversing(false))) {
                return RealTestPhrase.RESTS_ON_CONVERSATION.with();
            }
            Optional<NotDone> stands = expected.decision().notDone().stream().findFirst();
            return stands.isPresent() && holds(trial, sent, now)
                    ? RealTestPhrase.NOT_DONE_NOW.with(
                            stands.get().planned().statement(), stands.get().statement())
                    : RealTestPhrase.RESTS_ON_WHAT_IS_LEFT_OUT.with();
        }

        private boolean holds(Trial trial, ReadMessage message, MessageContext context) {
            return trying.result(seen(trial, message, context)).holds();
        }

        private static Trial seen(Trial trial, ReadMessage message, MessageContext context) {
            return new Trial(trial.id(), new MessageView(message, context), trial.expectations());
        }
    }
}
