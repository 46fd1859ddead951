package app.jubek.server.watching;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.argThat;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.ArgumentMatchers.startsWith;
import static org.mockito.Mockito.atLeast;
import static org.mockito.Mockito.doAnswer;
import static org.mockito.Mockito.doThrow;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.timeout;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import app.jubek.core.plan.Failure;
import app.jubek.core.plan.Trouble;
import app.jubek.server.mailbox.ImapConnections;
import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.mailbox.SampleMailbox;
import app.jubek.server.mailbox.Watching;
import app.jubek.server.platform.JubekProperties;
import app.jubek.server.progress.Attempts;
import app.jubek.server.progress.FolderCursors;
import app.jubek.server.progress.Lease;
import app.jubek.server.progress.SentMail;
import app.jubek.server.progress.WatchLeases;
import jakarta.mail.AuthenticationFailedException;
import jakarta.mail.Folder;
import jakarta.mail.MessagingException;
import java.net.ConnectException;
import java.net.UnknownHostException;
import java.security.cert.CertificateExpiredException;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicReference;
import java.util.stream.Stream;
import javax.net.ssl.SSLHandshakeException;
import org.eclipse.angus.mail.iap.Response;
import org.eclipse.angus.mail.iap.ResponseHandler;
import org.eclipse.angus.mail.imap.IMAPFolder;
import org.eclipse.angus.mail.imap.IMAPStore;
import org.eclipse.angus.mail.imap.protocol.IMAPProtocol;
import org.eclipse.angus.mail.imap.protocol.IMAPResponse;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.util.unit.DataSize;

/** However the session with a mail server fails, the cause is told and the watcher tries again. */
class WatcherTest {
    private static final UUID ID = UUID.randomUUID();

    private final Mailboxes mailboxes = mock(Mailboxes.class);
    private final ImapConnections connections = mock(ImapConnections.class);
    private final FolderCursors cursors = mock(FolderCursors.class);
    private final WatchLeases leases = mock(WatchLeases.class);
    private final JubekProperties properties = mock(JubekProperties.class);
    private final Mailbox mailbox = SampleMailbox.of(ID);
    private final Watcher watcher = watcher();
    private final Thread thread = new Thread(watcher);

    private Watcher watcher() {
        when(properties.reconnectAfter()).thenReturn(List.of(Duration.ofMillis(1)));
        when(properties.pollInterval()).thenReturn(Duration.ofSeconds(1));
        when(properties.largestMessage()).thenReturn(DataSize.ofMegabytes(1));
        when(leases.take(ID)).thenReturn(Optional.of(new Lease(ID, UUID.randomUUID(), 1)));
        return new Watcher(
                mailbox,
                new WatchParts(
                        mailboxes,
                        connections,
                        cursors,
                        leases,
                        mock(Attempts.class),
                        mock(FirstReading.class),
                        mock(SentMail.class),
                        mock(Arrivals.class)),
                properties);
    }

    @AfterEach
    void stop() throws InterruptedException {
        watcher.stop();
        thread.join();
    }

    static Stream<Arguments> failures() {
        return Stream.of(
                Arguments.of(
                        new AuthenticationFailedException("NO"), Watching.SIGN_IN_REFUSED, Failure.SIGN_IN_REFUSED),
                Arguments.of(broken(new ConnectException("refused")), Watching.UNREACHABLE, Failure.UNREACHABLE),
                Arguments.of(broken(new UnknownHostException("mail")), Watching.UNREACHABLE, Failure.HOST_UNKNOWN),
                Arguments.of(broken(new SSLHandshakeException("no")), Watching.UNREACHABLE, Failure.NOT_TRUSTED),
                Arguments.of(
                        broken(new Exception(new CertificateExpiredException())),
                        Watching.UNREACHABLE,
                        Failure.CERTIFICATE_EXPIRED),
                Arguments.of(
                        new MessagingException("BYE too many connections"),
                        Watching.UNREACHABLE,
                        Failure.TOO_MANY_CONNECTIONS),
                Arguments.of(
                        new DataAccessResourceFailureException("away"), Watching.DATABASE_AWAY, Failure.DATABASE_AWAY),
                Arguments.of(new StackOverflowError(), Watching.FAILED, Failure.WATCHING_BROKE));
    }

    private static MessagingException broken(Exception cause) {
        return new MessagingException("no session", cause);
    }

    @ParameterizedTest
    @MethodSource("failures")
    void theCauseIsToldAndTheServerIsAskedAgain(Throwable how, Watching state, Failure cause) throws Exception {
        when(connections.openForWatching(any(), any())).thenThrow(how);
        thread.start();
        verify(connections, timeout(5_000).atLeast(3)).openForWatching(eq(mailbox), any());
        verify(mailboxes, atLeast(2)).report(eq(ID), eq(state), argThat(told -> isOf(cause, told)));
    }

    private static boolean isOf(Failure cause, Optional<Trouble> told) {
        return told.orElseThrow().cause().code().equals(cause.name());
    }

    @Test
    void aDatabaseThatIsAwaySoThatNothingCanBeToldIsNoReasonToStop() throws Exception {
        when(connections.openForWatching(any(), any())).thenThrow(broken(new ConnectException("refused")));
        doThrow(new DataAccessResourceFailureException("away")).when(mailboxes).report(any(), any(), any());
        thread.start();
        verify(connections, timeout(5_000).atLeast(3)).openForWatching(any(), any());
    }

    @Test
    void whileAnotherNodeWatchesTheMailServerIsLeftAloneAndTheLeaseIsGivenBackInTheEnd() throws Exception {
        when(leases.take(ID)).thenReturn(Optional.empty());
        thread.start();
        verify(leases, timeout(5_000)).take(ID);
        stop();
        verify(leases).giveBack(ID);
        verify(connections, never()).openForWatching(any(), any());
    }

    @Test
    void mailAnnouncedWhileOtherIsFetchedIsFetchedBeforeWaitingAlthoughAsMuchLeftMeanwhile() throws Exception {
        IMAPStore store = mock(IMAPStore.class);
        IMAPFolder inbox = mock(IMAPFolder.class);
        IMAPProtocol session = mock(IMAPProtocol.class);
        when(connections.openForWatching(any(), any())).thenReturn(store);
        when(store.hasCapability("IDLE")).thenReturn(true);
        when(store.getFolder("INBOX")).thenReturn(inbox);
        when(store.getDefaultFolder()).thenReturn(inbox);
        when(inbox.list(any())).thenReturn(new Folder[0]);
        when(inbox.getMessageCount()).thenReturn(3);
        when(inbox.getFullName()).thenReturn("INBOX");
        when(cursors.find(any(), any())).thenReturn(Optional.of(new FolderCursors.Cursor(0, 7, 7, 0)));
        when(inbox.doCommand(any()))
                .thenAnswer(
                        call -> call.<IMAPFolder.ProtocolCommand>getArgument(0).doCommand(session));
        AtomicReference<ResponseHandler> told = new AtomicReference<>();
        doAnswer(call -> {
                    told.set(call.getArgument(0));
                    return null;
                })
                .when(session)
                .addResponseHandler(any());
        AtomicInteger fetches = new AtomicInteger();
        when(session.command(startsWith("UID FETCH"), any())).thenAnswer(call -> {
            boolean first = fetches.incrementAndGet() == 1;
            told.get().handleResponse(new IMAPResponse(first ? "* 4 EXISTS" : "* 3 EXISTS"));
            if (first) {
                told.get().handleResponse(new IMAPResponse("* 1 EXPUNGE"));
            }
            return new Response[] {new IMAPResponse("A1 OK done")};
        });
        BlockingQueue<Integer> fetchesBeforeWaiting = new LinkedBlockingQueue<>();
        doAnswer(call -> fetchesBeforeWaiting.add(fetches.get())).when(inbox).idle(true);
        thread.start();
        assertThat(fetchesBeforeWaiting.poll(2, TimeUnit.MINUTES)).isEqualTo(2);
    }
}
