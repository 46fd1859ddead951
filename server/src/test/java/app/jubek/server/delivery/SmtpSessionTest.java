package app.jubek.server.delivery;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import app.jubek.core.message.Octets;
import app.jubek.server.mailbox.MailServer;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** What may be concluded when a conversation ends in the middle, against a server that follows a script. */
class SmtpSessionTest {
    private final List<String> heard = new ArrayList<>();
    private ServerSocket server;

    private SmtpFault send(String body, String... answers) throws Exception {
        server = new ServerSocket(0);
        Thread thread = new Thread(() -> play(answers));
        thread.start();
        SmtpFault fault = catchThrowableOfType(SmtpFault.class, () -> {
            try (SmtpSession session = SmtpSession.open(new MailServer("127.0.0.1", server.getLocalPort()), "u", "p")) {
                session.send(
                        "a@x.example",
                        "b@y.example",
                        Octets.of(("Subject: s\r\n\r\n" + body).getBytes(StandardCharsets.UTF_8)));
            }
        });
        thread.join(5_000);
        return fault;
    }

    /** Answers each command in turn; "drop" closes, "data" reads up to the final dot first. */
    private void play(String... answers) {
        try (Socket socket = server.accept();
                BufferedReader in =
                        new BufferedReader(new InputStreamReader(socket.getInputStream(), StandardCharsets.UTF_8))) {
            for (String answer : answers) {
                if (answer.equals("drop")) {
                    return;
                }
                if (answer.equals("data")) {
                    for (String line = in.readLine(); !line.equals("."); line = in.readLine()) {
                        heard.add(line);
                    }
                    continue;
                }
                socket.getOutputStream().write((answer + "\r\n").getBytes(StandardCharsets.US_ASCII));
                if (!answer.startsWith("354") && !answer.contains("accepted")) {
                    in.readLine();
                }
            }
        } catch (IOException gone) {
            heard.add("broken");
        }
    }

    @AfterEach
    void close() throws IOException {
        server.close();
    }

    @Test
    void aConfirmedMessageArrivesWithItsDots() throws Exception {
        assertThat(send(".one\r\nü", "220 hi", "250 8BITMIME", "250 ok", "250 ok", "354 go", "data", "250 accepted"))
                .isNull();
        assertThat(heard).containsExactly("Subject: s", "", "..one", "ü");
    }

    @Test
    void fourIsForNowFiveIsForGood() throws Exception {
        assertThat(send("x", "220 hi", "250 x", "250 ok", "450 busy", "drop").kind())
                .isEqualTo(SmtpFault.Kind.TEMPORARY);
        assertThat(send("x", "220 hi", "250 x", "250 ok", "550 no", "drop").kind())
                .isEqualTo(SmtpFault.Kind.PERMANENT);
    }

    @Test
    void betweenTheFinalDotAndItsAnswerNobodyCanKnow() throws Exception {
        assertThat(send("x", "220 hi", "250 x", "250 ok", "250 ok", "354 go", "data", "drop")
                        .kind())
                .isEqualTo(SmtpFault.Kind.UNKNOWN);
    }

    /** RFC 6152: 8-bit content needs a server that says it takes it. */
    @Test
    void eightBitContentIsNotSentToAServerThatTakesNone() throws Exception {
        SmtpFault fault = send("ü", "220 hi", "250 x", "drop");
        assertThat(fault.kind()).isEqualTo(SmtpFault.Kind.NOT_AS_IT_IS);
        assertThat(fault.advice()).contains("Forward it instead");
    }

    @Test
    void aDotAfterABareLineEndIsNotSmuggledThrough() throws Exception {
        assertThat(send("x\n.\r\nMAIL FROM:<evil@x.example>", "220 hi", "250 x", "drop")
                        .kind())
                .isEqualTo(SmtpFault.Kind.NOT_AS_IT_IS);
    }
}
