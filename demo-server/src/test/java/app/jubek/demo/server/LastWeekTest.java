package app.jubek.demo.server;

import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.after;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.timeout;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import app.jubek.server.intake.Messages;
import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.mailbox.MailboxStatus;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.mailbox.Watching;
import app.jubek.server.platform.Refused;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

class LastWeekTest {
    private final SimulatedPostOffice postOffice = mock(SimulatedPostOffice.class);
    private final Mailboxes mailboxes = mock(Mailboxes.class);
    private final Messages messages = mock(Messages.class);
    private final AtomicInteger decided = new AtomicInteger();

    private static SimulatedPostOffice.Traffic traffic(int delivered, int left) {
        return new SimulatedPostOffice.Traffic(delivered, left, true, 30);
    }

    @BeforeEach
    void aMailboxIsWatchedAndThreeMessagesAreToCome() {
        Mailbox desk = mock(Mailbox.class);
        when(desk.id()).thenReturn(new UUID(0, 1));
        when(mailboxes.all()).thenReturn(List.of(desk));
        is(Watching.WATCHING);
        when(messages.decidedSince(any(), any())).thenAnswer(asked -> decided.get());
        when(postOffice.traffic()).thenReturn(traffic(0, 3));
        when(postOffice.nextHours()).thenReturn(traffic(2, 1), traffic(1, 0));
    }

    private void begin() {
        new LastWeek(postOffice, mailboxes, messages).begin();
    }

    private void is(Watching watching) {
        when(mailboxes.status(any()))
                .thenReturn(new MailboxStatus(watching, Optional.empty(), Optional.empty(), Optional.empty()));
    }

    @Test
    void nothingComesBeforeTheMailboxIsWatched() {
        is(Watching.STARTING);
        begin();
        verify(postOffice, after(100).never()).nextHours();
        is(Watching.WATCHING);
        verify(postOffice, timeout(5_000).times(1)).nextHours();
    }

    @Test
    void theNextHoursComeWhenThoseBeforeAreDecided() {
        begin();
        verify(postOffice, after(200).times(1)).nextHours();
        decided.set(2);
        verify(postOffice, timeout(5_000).times(2)).nextHours();
        decided.set(3);
        verify(postOffice, after(100).times(2)).nextHours();
    }

    @Test
    void thePostOfficeMayBeSlowerThanTheServer() {
        when(postOffice.clock())
                .thenThrow(Refused.unavailable("not yet"))
                .thenReturn(new SimulatedPostOffice.DemoClock(0, Instant.EPOCH));
        begin();
        verify(postOffice, times(2)).clock();
        verify(postOffice, timeout(5_000).times(1)).nextHours();
    }

    @Test
    void aWeekThatIsOverStaysOver() {
        when(postOffice.traffic()).thenReturn(traffic(0, 0));
        begin();
        verify(postOffice, times(1)).clock();
        verify(postOffice, never()).nextHours();
    }
}
