package app.jubek.server.intake;

import app.jubek.core.bounce.Bounce;
import app.jubek.core.decide.CompiledBook;
import app.jubek.core.decide.Decision;
import app.jubek.core.decide.DecisionContext;
import app.jubek.core.decide.Engine;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.message.Role;
import app.jubek.core.message.SentBy;
import app.jubek.core.outgoing.Composer;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.rule.RuleId;
import app.jubek.core.safety.ReplyHistory;
import app.jubek.core.step.Step;
import app.jubek.core.text.Budget;
import app.jubek.core.view.MessageContext;
import app.jubek.server.addressbook.AddressBooks;
import app.jubek.server.agreement.AsksByMail;
import app.jubek.server.deciding.Composers;
import app.jubek.server.deciding.DecisionContexts;
import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.progress.SentMail;
import app.jubek.server.queue.Outbox;
import app.jubek.server.replyhistory.StoredReplyHistory;
import app.jubek.server.rulebook.RuleBooks;
import app.jubek.server.step.StepPlan;
import io.micrometer.core.instrument.Counter;
import io.micrometer.core.instrument.MeterRegistry;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Decides what is done with a message and plans it, inside the transaction that stores the message. */
@Component
class Deciding {
    private final Mailboxes mailboxes;
    private final RuleBooks books;
    private final DecisionContexts contexts;
    private final AddressBooks people;
    private final StoredReplyHistory history;
    private final SentMail sent;
    private final Composers composers;
    private final Outbox outbox;
    private final List<AsksByMail> asking;
    private final Clock clock;
    private final Counter made;

    Deciding(
            Mailboxes mailboxes,
            RuleBooks books,
            DecisionContexts contexts,
            AddressBooks people,
            StoredReplyHistory history,
            SentMail sent,
            Composers composers,
            Outbox outbox,
            List<AsksByMail> asking,
            Clock clock,
            MeterRegistry registry) {
        this.mailboxes = mailboxes;
        this.books = books;
        this.contexts = contexts;
        this.people = people;
        this.history = history;
        this.sent = sent;
        this.composers = composers;
        this.outbox = outbox;
        this.asking = asking;
        this.clock = clock;
        this.made = Counter.builder("jubek.decisions")
                .description("messages decided since the process began")
                .register(registry);
    }

    /**
     * What was decided, with what it was decided by.
     *
     * @param version of the rule book
     */
    record Decided(Mailbox mailbox, int version, DecisionContext context, Decision decision) {
        boolean takesOutOfJunk() {
            return decision.planned().stream().anyMatch(p -> p.step() == Step.Plain.OUT_OF_JUNK);
        }

        /** Of what is in junk only what a rule takes out of there is stored. */
        boolean isLeftInJunk() {
            return context.context().junk() && !takesOutOfJunk();
        }
    }

    /**
     * @param tested rules that are judged as if they were on
     */
    Decided decide(UUID mailboxId, ReadMail mail, boolean conversation, Set<RuleId> tested, Budget budget) {
        Mailbox mailbox = mailboxes.find(mailboxId);
        RuleBooks.Versioned book = books.current(mailboxId);
        MessageContext message = mailbox.context(
                people.of(mailboxId),
                clock.instant(),
                mail.fetched().received(),
                conversation,
                mail.fetched().place().folder(),
                !mail.fetched().place().isInbox());
        DecisionContext context =
                contexts.ofArrival(mailbox, message, history.of(mailboxId, senders(book.book(), mail.message())));
        CompiledBook compiled = tested.isEmpty()
                ? books.compiled(mailboxId, book)
                : CompiledBook.of(book.book().withOn(tested));
        Decision decision = Engine.decide(compiled, mail.message(), context, budget);
        return new Decided(mailbox, book.version(), context, decision);
    }

    void plan(MessageEntity entity, ReadMail mail, Decided decided, Budget budget) {
        Mailbox mailbox = decided.mailbox();
        entity.decided(StoredDecision.of(decided.version(), decided.decision()));
        outbox.plan(new StepPlan(
                mailbox.id(),
                entity.id(),
                new Composer.Original(mail.message(), mail.fetched().bytes(), mail.digest()),
                composers.of(mailbox),
                decided.decision().planned(),
                decided.decision().notDone(),
                budget,
                Optional.empty()));
        asking.forEach(one -> one.take(mailbox.id(), mail.message()));
        Bounce.of(mail.message()).ifPresent(bounce -> outbox.cameBack(mailbox.id(), bounce));
        if (mail.message().sentBy().contains(SentBy.PERSON)) {
            mail.message().in(Role.FROM).stream()
                    .findFirst()
                    .ifPresent(who -> outbox.answered(
                            mailbox.id(), Optional.of(who), mail.message().references()));
        }
        made.increment();
    }

    void answeredFromHere(UUID mailbox, List<String> references) {
        outbox.answered(mailbox, Optional.empty(), references);
    }

    /** Whether it answers something this mailbox sent, by Jubek or by a person. */
    boolean isConversation(UUID mailbox, ReadMessage message) {
        return outbox.sentOneOf(mailbox, message.references())
                || sent.sentOneOf(mailbox, message.references())
                || asking.stream().anyMatch(one -> one.isAnsweredBy(mailbox, message));
    }

    boolean takesOutOfJunk(UUID mailbox) {
        return books.current(mailbox).book().all().stream().anyMatch(rule -> rule.on() && rule.takesOutOfJunk());
    }

    /** Everybody to whom one of the rules might reply. */
    private static List<String> senders(RuleBook book, ReadMessage message) {
        return book.all().stream()
                .flatMap(rule -> rule.steps().stream())
                .filter(Step.Reply.class::isInstance)
                .map(Step.Reply.class::cast)
                .flatMap(reply -> ReplyHistory.senders(message, reply.options().to()).stream())
                .distinct()
                .toList();
    }
}
