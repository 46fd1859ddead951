package app.jubek.server.watching;

import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.doThrow;
import static org.mockito.Mockito.inOrder;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import app.jubek.core.message.ByteSource;
import app.jubek.core.plan.Failure;
import app.jubek.core.text.Budget;
import app.jubek.server.mailbox.Fetched;
import app.jubek.server.mailbox.SampleMailbox;
import app.jubek.server.progress.Attempts;
import app.jubek.server.progress.Lease;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.mockito.InOrder;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.util.unit.DataSize;

/** Each new message stands behind a border of its own. */
class TakingInTest {
    private static final UUID ID = UUID.randomUUID();
    private static final Lease LEASE = new Lease(ID, UUID.randomUUID(), 1);
    private static final Fetched BAD = message(1);
    private static final Fetched GOOD = message(2);

    private final Arrivals arrivals = mock(Arrivals.class);
    private final Attempts attempts = mock(Attempts.class);
    private final TakingIn takingIn = new TakingIn(SampleMailbox.of(ID), arrivals, attempts, DataSize.ofMegabytes(64));

    private static Fetched message(long uid) {
        return new Fetched(new Fetched.Place("INBOX", 7, uid), Instant.EPOCH, ByteSource.of(new byte[0]), 0, true);
    }

    private void fails(Throwable how) {
        doThrow(how).when(arrivals).receive(ID, BAD, LEASE);
    }

    @Test
    void aMessageThatFailsByItsContentIsSetAsideAfterThreeAttemptsAndTheNextFollows() {
        fails(new StackOverflowError());
        takingIn.all(List.of(BAD, GOOD), LEASE);
        verify(arrivals, times(3)).receive(ID, BAD, LEASE);
        verify(arrivals).setAside(eq(ID), eq(BAD), eq(LEASE), eq(Failure.ASIDE_BROKE.with("it is nested too deep")));
        verify(arrivals).receive(ID, GOOD, LEASE);
    }

    @Test
    void oneThatCostsTooMuchIsNotTriedAgain() {
        fails(new Budget.Spent("it takes more than 2 s"));
        takingIn.all(List.of(BAD, GOOD), LEASE);
        verify(arrivals).receive(ID, BAD, LEASE);
        verify(arrivals).setAside(eq(ID), eq(BAD), eq(LEASE), eq(Failure.ASIDE_TOO_COSTLY.with()));
    }

    @Test
    void faultsOfTheSurroundingsSetNothingAsideAndDoNotCount() {
        fails(new DataAccessResourceFailureException("the database is away"));
        assertThatThrownBy(() -> takingIn.all(List.of(BAD, GOOD), LEASE)).isInstanceOf(TakingIn.Interrupted.class);
        verify(arrivals, never()).setAside(any(), any(), any(), any());
        takingIn.all(List.of(GOOD), LEASE);
        verify(attempts).forget(ID, List.of(BAD.place(), GOOD.place()));
    }

    @Test
    void attemptsAreCountedBeforeAnythingIsRead() {
        takingIn.all(List.of(BAD, GOOD), LEASE);
        InOrder order = inOrder(attempts, arrivals);
        order.verify(attempts).begin(ID, List.of(BAD.place(), GOOD.place()));
        order.verify(arrivals).receive(ID, BAD, LEASE);
        order.verify(attempts).forget(ID, List.of(BAD.place(), GOOD.place()));
    }

    @Test
    void oneThatEndedTheProcessThreeTimesIsSetAsideUnreadAndItsNeighboursAreNot() {
        when(attempts.anyBefore(any(), any())).thenReturn(true);
        when(attempts.count(ID, BAD.place(), "")).thenReturn(4);
        when(attempts.count(ID, GOOD.place(), "")).thenReturn(2);
        takingIn.all(List.of(BAD, GOOD), LEASE);
        verify(arrivals, never()).receive(ID, BAD, LEASE);
        verify(arrivals).setAside(eq(ID), eq(BAD), eq(LEASE), eq(Failure.ASIDE_STOPPED.with()));
        verify(arrivals).receive(ID, GOOD, LEASE);
    }
}
