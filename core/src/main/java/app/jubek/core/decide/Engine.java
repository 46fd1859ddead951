package app.jubek.core.decide;

import app.jubek.core.address.MailAddress;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.plan.Refusal;
import app.jubek.core.rule.Rule;
import app.jubek.core.step.AnswersTo;
import app.jubek.core.step.ReplyOptions;
import app.jubek.core.text.Budget;
import app.jubek.core.view.MessageView;
import app.jubek.core.wording.Statement;
import java.util.List;
import java.util.Optional;

/** Decides what is done with a message: a pure function, the same for real mail, rehearsal and evidence. */
public final class Engine {
    private Engine() {}

    public static Decision decide(CompiledBook book, ReadMessage message, DecisionContext at) {
        return decide(book, message, at, Budget.UNLIMITED);
    }

    /**
     * @param budget what deciding may cost
     * @throws Budget.Spent when it costs more
     */
    public static Decision decide(CompiledBook book, ReadMessage message, DecisionContext at, Budget budget) {
        MessageView view = new MessageView(message, at.context(), budget);
        CompiledBook.Judged judged = book.judge(view, at.silence(), at.isAllOn());
        return decide(view, at, judged.isFenced(), judged.trace(), judged.notes());
    }

    /**
     * Decides on past mail whose hits were found set by set.
     *
     * @param trace what the rules make of the message
     * @param fenced whether the mailbox's fence keeps it in
     */
    public static Decision decide(MessageView view, DecisionContext at, boolean fenced, Trace trace) {
        return decide(view, at, fenced, trace, view.message().notes());
    }

    /** What stands against a rule's answer in the message itself, whoever was answered before. */
    public static Optional<Refusal> againstAnswer(
            MessageView view, DecisionContext at, Rule rule, ReplyOptions options) {
        return new AnswerChecks(view, at).byItself(rule, options);
    }

    /** All of a rule that {@link #againstAnswer} goes by, beside the message: with the same, it says the same. */
    public record AnswersBy(List<MailAddress> aliases, boolean inConversations, AnswersTo to) {
        public AnswersBy {
            aliases = List.copyOf(aliases);
        }

        public static AnswersBy of(Rule rule, ReplyOptions options) {
            return new AnswersBy(AnswerChecks.aliases(rule, options), options.inConversations(), options.to());
        }
    }

    private static Decision decide(
            MessageView view, DecisionContext at, boolean fenced, Trace trace, List<Statement> notes) {
        return new Planning(view, at, fenced).decision(trace, notes);
    }
}
