package app.jubek.server.intake;

import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.doAnswer;
import static org.mockito.Mockito.inOrder;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import app.jubek.core.message.ByteSource;
import app.jubek.server.content.MessageContent;
import app.jubek.server.mailbox.Fetched;
import app.jubek.server.mailbox.Mailboxes;
import jakarta.persistence.EntityManager;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import java.util.function.Consumer;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.mockito.InOrder;
import org.springframework.transaction.TransactionStatus;
import org.springframework.transaction.support.TransactionTemplate;

class PastMailRecorderTest {
    private static final UUID MAILBOX = UUID.randomUUID();
    private static final Fetched OLD = new Fetched(
            new Fetched.Place("INBOX", 7, 1),
            Instant.EPOCH,
            ByteSource.of("Subject: old\r\n\r\nx".getBytes(StandardCharsets.US_ASCII)),
            17,
            true);

    private final MessageRepository messages = mock(MessageRepository.class);
    private final MessageContent content = mock(MessageContent.class);
    private final Deciding deciding = mock(Deciding.class);
    private final Mailboxes mailboxes = mock(Mailboxes.class);
    private final TransactionTemplate transaction = mock(TransactionTemplate.class);
    private final PastMailRecorder recorder =
            new PastMailRecorder(messages, content, deciding, mailboxes, transaction, mock(EntityManager.class));

    @BeforeEach
    void transactionsRun() {
        doAnswer(call -> {
                    call.<Consumer<TransactionStatus>>getArgument(0).accept(mock(TransactionStatus.class));
                    return null;
                })
                .when(transaction)
                .executeWithoutResult(any());
        MessageEntity saved = mock(MessageEntity.class);
        when(saved.id()).thenReturn(1L);
        when(messages.saveAndFlush(any())).thenReturn(saved);
    }

    /** Whoever reads on from the last id would miss what another transaction commits later under a lower one. */
    @Test
    void pastMailIsStoredUnderTheMailboxesLockAsNewMailIs() {
        recorder.record(MAILBOX, List.of(OLD));
        InOrder order = inOrder(mailboxes, messages);
        order.verify(mailboxes).lock(MAILBOX);
        order.verify(messages).saveAndFlush(any());
    }

    @Test
    void nothingIsDecidedAboutIt() {
        recorder.record(MAILBOX, List.of(OLD));
        verify(deciding, never()).decide(any(), any(), org.mockito.ArgumentMatchers.anyBoolean(), any(), any());
    }
}
