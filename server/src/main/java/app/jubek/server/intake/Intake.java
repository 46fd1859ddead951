package app.jubek.server.intake;

import app.jubek.core.message.ReadMessage;
import app.jubek.core.message.ReadingNote;
import app.jubek.core.text.Budget;
import app.jubek.core.wording.Statement;
import app.jubek.server.content.MessageContent;
import app.jubek.server.mailbox.Fetched;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.platform.CpuBudget;
import app.jubek.server.progress.FolderCursors;
import app.jubek.server.progress.Lease;
import app.jubek.server.testmail.TestMail;
import app.jubek.server.watching.Arrivals;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Receives messages: parsed outside any transaction; then stored, decided, planned and the cursor moved in one short
 * transaction under the mailbox's lock. A message once decided is never decided again.
 */
@Service
class Intake implements Arrivals {
    private final MessageRepository messages;
    private final MessageContent content;
    private final Mailboxes mailboxes;
    private final FolderCursors cursors;
    private final TestMail tests;
    private final Deciding deciding;
    private final PastMailRecorder pastMail;
    private final SetAside setAside;
    private final SecondAttempts secondAttempts;
    private final Whereabouts whereabouts;
    private final TransactionTemplate transaction;

    Intake(
            MessageRepository messages,
            MessageContent content,
            Mailboxes mailboxes,
            FolderCursors cursors,
            TestMail tests,
            Deciding deciding,
            PastMailRecorder pastMail,
            SetAside setAside,
            SecondAttempts secondAttempts,
            Whereabouts whereabouts,
            TransactionTemplate transaction) {
        this.messages = messages;
        this.content = content;
        this.mailboxes = mailboxes;
        this.cursors = cursors;
        this.tests = tests;
        this.deciding = deciding;
        this.pastMail = pastMail;
        this.setAside = setAside;
        this.secondAttempts = secondAttempts;
        this.whereabouts = whereabouts;
        this.transaction = transaction;
    }

    @Override
    public void receive(UUID mailbox, Fetched fetched, Lease lease) {
        Budget budget = CpuBudget.ofMessage();
        ReadMail mail = ReadMail.parse(fetched, budget);
        transaction.executeWithoutResult(status -> decideAndPlan(mailbox, mail, lease, budget));
    }

    private void decideAndPlan(UUID mailbox, ReadMail mail, Lease lease, Budget budget) {
        mailboxes.lock(mailbox);
        Fetched fetched = mail.fetched();
        if (!cursors.advance(lease, fetched.place()) || tests.onlyArrives(mailbox, mail.message())) {
            return;
        }
        Optional<MessageEntity> known = messages.findFirstByMailboxIdAndDigestInOrderById(mailbox, mail.knownBy());
        if (known.isPresent()) {
            known.get().cameAgain(fetched);
            return;
        }
        if (cursors.isPast(mailbox, fetched)) {
            pastMail.record(mailbox, mail);
            return;
        }
        boolean conversation = deciding.isConversation(mailbox, mail.message());
        TestMail.Tested tested = tests.tested(mailbox, mail.message());
        Deciding.Decided decided = deciding.decide(mailbox, mail, conversation, tested.rules(), budget);
        if (decided.isLeftInJunk()) {
            return;
        }
        MessageEntity entity = messages.saveAndFlush(new MessageEntity(
                        mailbox,
                        fetched,
                        mail.digest(),
                        tested.isTest() ? MessageStatus.REAL_TEST : MessageStatus.DECIDED)
                .read(noted(mailbox, mail.message()), conversation));
        content.store(entity.id(), fetched.bytes());
        deciding.plan(entity, mail, decided, budget);
        tests.decided(tested, entity.id(), decided.decision());
        mailboxes.messageCame(mailbox, fetched.received());
    }

    private ReadMessage noted(UUID mailbox, ReadMessage message) {
        return message.messageId()
                .map(id -> messages.existsByMailboxIdAndMessageId(mailbox, id)
                        ? message.withNote(ReadingNote.MESSAGE_ID_TWICE.with())
                        : message)
                .orElseGet(() -> message.withNote(ReadingNote.NO_MESSAGE_ID.with()));
    }

    @Override
    public void answered(UUID mailbox, List<String> references) {
        deciding.answeredFromHere(mailbox, references);
    }

    @Override
    public void setAside(UUID mailbox, Fetched fetched, Lease lease, Statement cause) {
        setAside.store(mailbox, fetched, lease, cause);
    }

    @Override
    public void tryAgain(UUID mailbox) {
        secondAttempts.begin(mailbox);
    }

    @Override
    public boolean looksIntoJunk(UUID mailbox) {
        return deciding.takesOutOfJunk(mailbox);
    }

    @Override
    public void recordPastMail(UUID mailbox, List<Fetched> fetched) {
        pastMail.record(mailbox, fetched);
    }

    @Override
    public List<Missing> missing(UUID mailbox, Listing listing) {
        return whereabouts.missing(mailbox, listing);
    }

    @Override
    public void found(long message, Fetched.Place place) {
        whereabouts.moved(message, place);
    }

    @Override
    public void gone(UUID mailbox, List<Long> gone) {
        whereabouts.gone(mailbox, gone);
    }

    @Override
    public List<String> folders(UUID mailbox) {
        return whereabouts.folders(mailbox);
    }
}
