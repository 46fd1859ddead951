package app.jubek.server.mailbox;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import jakarta.mail.MessagingException;
import java.io.ByteArrayInputStream;
import java.io.OutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Properties;
import org.eclipse.angus.mail.iap.BadCommandException;
import org.eclipse.angus.mail.iap.CommandFailedException;
import org.eclipse.angus.mail.iap.Protocol;
import org.eclipse.angus.mail.iap.ProtocolException;
import org.eclipse.angus.mail.iap.Response;
import org.eclipse.angus.mail.imap.IMAPFolder;
import org.eclipse.angus.mail.imap.protocol.FetchResponse;
import org.junit.jupiter.api.Test;

/** RFC 9051 §7.1: what a server may answer while others work on the same folder. */
class UidCommandsTest {
    private final IMAPFolder folder = mock(IMAPFolder.class);
    private final UidCommands commands = new UidCommands(folder);

    private static MessagingException of(ProtocolException cause) {
        return new MessagingException("NO", cause);
    }

    private static Response[] uid(long uid) throws Exception {
        byte[] line = ("* 1 FETCH (UID " + uid + ")\r\n").getBytes(StandardCharsets.US_ASCII);
        PrintStream nowhere = new PrintStream(OutputStream.nullOutputStream());
        Protocol server = new Protocol(new ByteArrayInputStream(line), nowhere, new Properties(), false);
        return new Response[] {new FetchResponse(server), new Response("A1 OK done")};
    }

    @Test
    void aFetchRefusedWhileSomebodyRemovesMailIsAskedAgain() throws Exception {
        when(folder.doCommand(any()))
                .thenThrow(of(new CommandFailedException()))
                .thenReturn(uid(7));
        assertThat(commands.above(6)).isEqualTo(List.of(7L));
    }

    @Test
    void aFetchThatIsRefusedAgainAndAgainFails() throws Exception {
        when(folder.doCommand(any())).thenThrow(of(new CommandFailedException()));
        assertThatThrownBy(() -> commands.above(6)).hasCauseInstanceOf(CommandFailedException.class);
        verify(folder, times(4)).doCommand(any());
    }

    @Test
    void anotherFailureIsNotAskedAgain() throws Exception {
        when(folder.doCommand(any())).thenThrow(of(new BadCommandException("BAD")));
        assertThatThrownBy(() -> commands.above(6)).hasCauseInstanceOf(BadCommandException.class);
        verify(folder, times(1)).doCommand(any());
    }
}
