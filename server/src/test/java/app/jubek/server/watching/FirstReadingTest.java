package app.jubek.server.watching;

import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.after;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.timeout;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import app.jubek.server.mailbox.ImapConnections;
import app.jubek.server.mailbox.SampleMailbox;
import app.jubek.server.platform.JubekProperties;
import app.jubek.server.progress.FolderCursors;
import app.jubek.server.progress.Lease;
import app.jubek.server.progress.WatchLeases;
import jakarta.mail.MessagingException;
import java.net.SocketTimeoutException;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.dao.DataAccessResourceFailureException;

/** A first reading that is interrupted goes on by itself, though the session that watches the inbox is in order. */
class FirstReadingTest {
    private static final UUID ID = UUID.randomUUID();
    private static final Optional<Lease> OURS = Optional.of(new Lease(ID, UUID.randomUUID(), 1));

    private final ImapConnections connections = mock(ImapConnections.class);
    private final FolderCursors cursors = mock(FolderCursors.class);
    private final WatchLeases leases = mock(WatchLeases.class);
    private final JubekProperties properties = mock(JubekProperties.class);
    private final FirstReading reading =
            new FirstReading(connections, cursors, leases, mock(Arrivals.class), properties, Clock.systemUTC());

    @BeforeEach
    void theServerIsTooSlow() throws MessagingException {
        when(properties.reconnectAfter()).thenReturn(List.of(Duration.ofMillis(1), Duration.ofMillis(20)));
        when(connections.openForFirstReading(any()))
                .thenThrow(new MessagingException("BYE", new SocketTimeoutException("Read timed out")));
    }

    @AfterEach
    void stop() {
        reading.destroy();
    }

    @Test
    void itIsBegunAgainAfterEachInterruptionOfTheServerOrTheDatabase() throws Exception {
        when(leases.take(ID))
                .thenReturn(OURS)
                .thenThrow(new DataAccessResourceFailureException("away"))
                .thenReturn(OURS);
        reading.start(SampleMailbox.of(ID));
        verify(connections, timeout(5_000).atLeast(3)).openForFirstReading(any());
    }

    @Test
    void onceAnotherNodeWatchesTheMailboxThisOneLeavesItAndMayBeginAnewLater() throws Exception {
        when(leases.take(ID)).thenReturn(Optional.empty());
        reading.start(SampleMailbox.of(ID));
        verify(leases, timeout(5_000)).take(ID);
        verify(connections, after(100).never()).openForFirstReading(any());
        when(leases.take(ID)).thenReturn(OURS);
        reading.start(SampleMailbox.of(ID));
        verify(connections, timeout(5_000).atLeast(1)).openForFirstReading(any());
        verify(connections, never()).open(any());
    }

    @Test
    void aPausedOneWaitsUntilItMayGoOn() throws Exception {
        when(leases.take(ID)).thenReturn(OURS);
        when(cursors.reading(any(), any())).thenReturn(Optional.of(new FolderCursors.Reading(10, 5, false, true)));
        reading.start(SampleMailbox.of(ID));
        verify(connections, after(100).never()).openForFirstReading(any());
        when(cursors.reading(any(), any())).thenReturn(Optional.of(new FolderCursors.Reading(10, 5, false, false)));
        verify(connections, timeout(10_000).atLeast(1)).openForFirstReading(any());
    }
}
