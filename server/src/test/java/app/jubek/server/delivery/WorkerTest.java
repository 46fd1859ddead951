package app.jubek.server.delivery;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.ArgumentMatchers.anyString;
import static org.mockito.ArgumentMatchers.argThat;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.doThrow;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.verifyNoInteractions;
import static org.mockito.Mockito.when;

import app.jubek.core.address.MailAddress;
import app.jubek.core.message.ByteSource;
import app.jubek.core.plan.Advice;
import app.jubek.core.plan.Failure;
import app.jubek.core.plan.Trouble;
import app.jubek.core.safety.Cleared;
import app.jubek.core.safety.Outgoing;
import app.jubek.server.folders.CrossMailboxMove;
import app.jubek.server.folders.ImapRefused;
import app.jubek.server.folders.ImapSteps;
import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.mailbox.SampleMailbox;
import app.jubek.server.mailbox.SpecialUse;
import app.jubek.server.notice.Notices;
import app.jubek.server.outgoing.FrozenMail;
import app.jubek.server.queue.Claims;
import app.jubek.server.smtp.NullSenderRefused;
import app.jubek.server.smtp.SmtpFault;
import app.jubek.server.smtp.SmtpSessions;
import app.jubek.server.step.Claim;
import app.jubek.server.step.Work;
import app.jubek.server.undo.Undo;
import java.io.IOException;
import java.net.ConnectException;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** However a step fails, what is noted says what may be concluded, and the worker goes on to the next. */
class WorkerTest {
    private static final MailAddress TOMAS = MailAddress.of("tomas@ostrel-gardens.example");
    private static final Trouble REFUSED = Trouble.of(Failure.MAILBOX_FULL.with("452"), Advice.MAKE_ROOM);

    private final Claims claims = mock(Claims.class);
    private final ImapSteps imap = mock(ImapSteps.class);
    private final SmtpSessions sessions = mock(SmtpSessions.class);
    private final FrozenMail frozen = mock(FrozenMail.class);
    private final Worker worker = new Worker(
            claims, imap, mock(CrossMailboxMove.class), mock(Undo.class), frozen, sessions, mock(Notices.class));
    private final Mailbox mailbox = SampleMailbox.of(UUID.randomUUID());

    private Claim claim(Work kind, Optional<Outgoing> leaving) {
        Optional<Cleared> cleared = leaving.map(outgoing -> {
            Cleared permission = mock(Cleared.class);
            when(permission.outgoing()).thenReturn(outgoing);
            return permission;
        });
        Claim claim = new Claim(UUID.randomUUID(), 1, kind, 7, Optional.empty(), "Notices", mailbox, cleared);
        when(claims.next()).thenReturn(new Claims.Found.Due(claim));
        when(frozen.of(any(), any(), anyLong())).thenReturn(ByteSource.of(new byte[0]));
        return claim;
    }

    private Claim redirect() {
        return claim(Work.REDIRECT, Optional.of(new Outgoing.HandedOn(TOMAS, Optional.of(SampleMailbox.VISITS))));
    }

    private void sendingFails(Throwable how) throws Exception {
        doThrow(how).when(sessions).send(any(), anyString(), anyString(), any());
    }

    private static SmtpFault fault(SmtpFault.Kind kind) {
        SmtpFault fault = mock(SmtpFault.class);
        when(fault.kind()).thenReturn(kind);
        when(fault.trouble()).thenReturn(REFUSED);
        return fault;
    }

    @Test
    void whatIsHandedOverIsDoneAndNoLongerWorkedOn() throws Exception {
        Claim claim = redirect();
        assertThat(worker.work()).isTrue();
        verify(sessions).send(eq(mailbox), eq(SampleMailbox.VISITS.address()), eq(TOMAS.address()), any());
        verify(claims).done(claim);
        verify(claims).finished(claim);
        verifyNoInteractions(imap);
    }

    @ParameterizedTest
    @EnumSource(SmtpFault.Kind.class)
    void aRefusalIsTriedAgainOrFinalAndABreakAfterTheLastDotIsUncertain(SmtpFault.Kind kind) throws Exception {
        Claim claim = redirect();
        sendingFails(fault(kind));
        assertThat(worker.work()).isTrue();
        switch (kind) {
            case TEMPORARY -> verify(claims).retryOrFail(claim, REFUSED);
            case PERMANENT -> verify(claims).fail(claim, REFUSED);
            default -> verify(claims).unknown(claim);
        }
        verify(claims).finished(claim);
    }

    /** RFC 5321 §4.5.5 asks servers to take the null path; some don't. */
    @Test
    void aReplyThatMayNotComeFromTheNullPathGoesFromTheMailboxInstead() throws Exception {
        Claim claim = claim(Work.REPLY, Optional.of(new Outgoing.Answer(TOMAS, Optional.empty())));
        doThrow(mock(NullSenderRefused.class)).when(sessions).send(any(), eq(""), anyString(), any());
        worker.work();
        verify(sessions).send(eq(mailbox), eq(SampleMailbox.VISITS.address()), eq(TOMAS.address()), any());
        verify(claims).done(claim);
    }

    @Test
    void aServerThatIsAwayIsTriedAgain() throws Exception {
        Claim claim = redirect();
        sendingFails(new IOException(new ConnectException("Connection refused")));
        worker.work();
        verify(claims).retryOrFail(eq(claim), cause(Failure.UNREACHABLE));
    }

    @Test
    void whatAFolderRefusesForNowIsTriedAgainAndWhatItRefusesForGoodIsNot() throws Exception {
        Claim claim = claim(Work.ARCHIVE, Optional.empty());
        ImapRefused forNow = refusal(true);
        ImapRefused forGood = refusal(false);
        doThrow(forNow).doThrow(forGood).when(imap).file(any(), eq(7L), eq(SpecialUse.ARCHIVE), eq(false), any());
        worker.work();
        verify(claims).retryOrFail(claim, REFUSED);
        worker.work();
        verify(claims).fail(claim, REFUSED);
    }

    private static ImapRefused refusal(boolean forNow) {
        ImapRefused refused = mock(ImapRefused.class);
        when(refused.isForNow()).thenReturn(forNow);
        when(refused.trouble()).thenReturn(REFUSED);
        return refused;
    }

    @Test
    void aStepThatBreaksIsNotedAndNoReasonToStopEvenWhenThatCantBeNoted() throws Exception {
        Claim claim = redirect();
        sendingFails(new StackOverflowError());
        doThrow(new IllegalStateException("the database is away")).when(claims).retryOrFail(any(), any());
        assertThat(worker.work()).isTrue();
        verify(claims).retryOrFail(eq(claim), cause(Failure.STEP_BROKE));
        verify(claims).finished(claim);
    }

    private static Trouble cause(Failure failure) {
        return argThat(trouble -> trouble.cause().code().equals(failure.name()));
    }
}
