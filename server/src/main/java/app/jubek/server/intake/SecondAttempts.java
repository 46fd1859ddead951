package app.jubek.server.intake;

import app.jubek.core.text.Budget;
import app.jubek.server.content.MessageContent;
import app.jubek.server.mailbox.Fetched;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.platform.Border;
import app.jubek.server.platform.CpuBudget;
import app.jubek.server.platform.Refused;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.core.task.TaskExecutor;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** Decides messages that were set aside once more: after a restart by itself, and when a person asks for it. */
@Component
class SecondAttempts {
    private final SetAside setAside;
    private final MessageRepository messages;
    private final MessageContent content;
    private final Deciding deciding;
    private final Mailboxes mailboxes;
    private final TransactionTemplate transaction;
    private final TaskExecutor background;
    private final Set<UUID> begun = ConcurrentHashMap.newKeySet();

    SecondAttempts(
            SetAside setAside,
            MessageRepository messages,
            MessageContent content,
            Deciding deciding,
            Mailboxes mailboxes,
            TransactionTemplate transaction,
            @Qualifier("applicationTaskExecutor") TaskExecutor background) {
        this.setAside = setAside;
        this.messages = messages;
        this.content = content;
        this.deciding = deciding;
        this.mailboxes = mailboxes;
        this.transaction = transaction;
        this.background = background;
    }

    /** All of a mailbox, once after a restart, in the background as each may take its time. */
    void begin(UUID mailbox) {
        if (begun.add(mailbox)) {
            background.execute(() -> Border.around(
                            () -> setAside.untried(mailbox).forEach(id -> tryAgain(mailbox, id)))
                    .ifPresent(interrupted -> begun.remove(mailbox)));
        }
    }

    /**
     * @return false when it can't be decided now either
     * @throws Refused when the database does not answer, or there is no such message
     */
    boolean tryAgain(UUID mailbox, long id) {
        setAside.noteTried(id);
        Optional<Border.Failure> failure = Border.around(() -> decideAnew(mailbox, id));
        if (failure.filter(Border.Failure::isTransient).isPresent()) {
            setAside.noteUntried(id);
            throw Refused.unavailable("The database does not answer just now. Try again in a moment.");
        }
        failure.ifPresent(again -> setAside.failedAgain(id, again));
        return failure.isEmpty();
    }

    private void decideAnew(UUID mailbox, long id) {
        Budget budget = CpuBudget.ofMessage();
        MessageEntity kept = messages.findByIdAndMailboxId(id, mailbox).orElseThrow(Refused::notFound);
        setAside.checkWhole(kept);
        Fetched fetched = new Fetched(kept.place(), kept.receivedAt(), content.of(id), kept.size(), true);
        ReadMail mail = ReadMail.parse(fetched, budget);
        transaction.executeWithoutResult(status -> {
            mailboxes.lock(mailbox);
            MessageEntity entity = messages.findByIdAndMailboxId(id, mailbox).orElseThrow(Refused::notFound);
            if (entity.status() == MessageStatus.SET_ASIDE) {
                boolean conversation = deciding.isConversation(mailbox, mail.message());
                Deciding.Decided decided = deciding.decide(mailbox, mail, conversation, Set.of(), budget);
                messages.saveAndFlush(entity.decidedAfterAll().read(mail.message(), conversation));
                deciding.plan(entity, mail, decided, budget);
                mailboxes.evidenceChanged(mailbox);
            }
        });
    }
}
