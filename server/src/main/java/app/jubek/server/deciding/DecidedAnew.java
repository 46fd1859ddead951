package app.jubek.server.deciding;

import app.jubek.core.decide.CompiledBook;
import app.jubek.core.decide.Decision;
import app.jubek.core.decide.Engine;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.plan.NotDone;
import app.jubek.core.plan.PlannedStep;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.rule.RuleId;
import app.jubek.core.step.Step;
import app.jubek.core.step.StepKind;
import app.jubek.core.view.MessageContext;
import app.jubek.server.addressbook.AddressBooks;
import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.platform.Refused;
import app.jubek.server.rulebook.RuleBooks;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/**
 * One rule, as it is now, over a message that was decided before, as if nobody had been answered. Whatever stands against
 * an answer in the message itself still does.
 */
@Component
public class DecidedAnew {
    private final RuleBooks books;
    private final AddressBooks people;
    private final DecisionContexts contexts;
    private final Clock clock;

    DecidedAnew(RuleBooks books, AddressBooks people, DecisionContexts contexts, Clock clock) {
        this.books = books;
        this.people = people;
        this.contexts = contexts;
        this.clock = clock;
    }

    /**
     * The rule's answer with its copies, and where it moves what it answered.
     *
     * @param received when the message came in
     * @throws Refused when the rule is off, gone, or does not answer the message as it is now
     */
    public List<PlannedStep> answer(Mailbox mailbox, RuleId id, ReadMessage message, Instant received) {
        RuleBook book = books.current(mailbox.id()).book();
        Rule rule = book.find(id)
                .filter(Rule::on)
                .orElseThrow(() -> Refused.conflict(
                        "Its rule is paused or gone. Switch it on, or write to the sender yourself.", Map.of()));
        // Its days are told in the answer, so they stay where they do not stand against it.
        Rule asThen = rule.schedule().isActive(received, mailbox.opening()) ? rule : rule.always();
        CompiledBook alone = CompiledBook.of(new RuleBook(List.of(asThen), book.fence(), List.of()));
        MessageContext context =
                mailbox.context(people.of(mailbox.id()), clock.instant(), received, false, "INBOX", false);
        Decision decision = Engine.decide(alone, message, contexts.ofRehearsal(mailbox, context));
        List<PlannedStep> steps = Stream.concat(
                        decision.planned().stream(),
                        decision.notDone().stream()
                                .filter(not -> not.waits() && not.reason().mayBeOverruled())
                                .map(NotDone::planned))
                .filter(step -> isAnswer(step) || step.step().kind().removes())
                .toList();
        if (steps.stream().noneMatch(step -> step.step().kind() == StepKind.REPLY)) {
            throw Refused.conflict(
                    "The rule as it is now does not answer this message. Write to the sender yourself.", Map.of());
        }
        return steps;
    }

    private static boolean isAnswer(PlannedStep planned) {
        return planned.step() instanceof Step.Reply && planned.sending().isPresent();
    }
}
