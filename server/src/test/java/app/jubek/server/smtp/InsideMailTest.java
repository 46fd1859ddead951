package app.jubek.server.smtp;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.doThrow;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.verifyNoInteractions;
import static org.mockito.Mockito.when;

import app.jubek.core.address.MailAddress;
import app.jubek.core.outgoing.OwnLetter;
import app.jubek.core.people.OwnSide;
import app.jubek.core.safety.Limits;
import app.jubek.core.schedule.Opening;
import app.jubek.server.mailbox.MailServer;
import app.jubek.server.mailbox.Mailbox;
import java.io.IOException;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;

class InsideMailTest {
    private final SmtpSessions sessions = mock(SmtpSessions.class);

    private InsideMail.Outcome to(String address) {
        OwnSide own = new OwnSide(
                MailAddress.of("visits@ostrel-gardens.example"), List.of(), List.of("ostrel-gardens.example"));
        MailServer server = new MailServer("127.0.0.1", 25);
        Mailbox mailbox = new Mailbox(
                UUID.randomUUID(), own, Opening.usual(ZoneOffset.UTC), server, server, "visits", Limits.PRESET);
        return new InsideMail(sessions)
                .send(mailbox, MailAddress.of(address), new OwnLetter("s", "t"), "<1@x.example>", Instant.EPOCH);
    }

    @Test
    void nothingIsToldOutside() {
        assertThat(to("noor@elsewhere.example")).isEqualTo(InsideMail.Outcome.REFUSED);
        verifyNoInteractions(sessions);
    }

    @Test
    void troubleThatPassesIsToldFromARefusal() throws Exception {
        assertThat(to("noor@ostrel-gardens.example")).isEqualTo(InsideMail.Outcome.SENT);
        doThrow(new IOException("broken")).when(sessions).send(any(), any(), any(), any());
        assertThat(to("noor@ostrel-gardens.example")).isEqualTo(InsideMail.Outcome.NOT_NOW);
        SmtpFault refused = mock(SmtpFault.class);
        when(refused.kind()).thenReturn(SmtpFault.Kind.PERMANENT);
        doThrow(refused).when(sessions).send(any(), any(), any(), any());
        assertThat(to("noor@ostrel-gardens.example")).isEqualTo(InsideMail.Outcome.REFUSED);
    }

    @Test
    void whatMayHaveArrivedIsNotSentTwice() throws Exception {
        SmtpFault broken = mock(SmtpFault.class);
        when(broken.kind()).thenReturn(SmtpFault.Kind.UNKNOWN);
        doThrow(broken).when(sessions).send(any(), any(), any(), any());
        assertThat(to("noor@ostrel-gardens.example")).isEqualTo(InsideMail.Outcome.SENT);
    }
}
