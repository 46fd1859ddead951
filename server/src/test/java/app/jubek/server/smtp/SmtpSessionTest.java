package app.jubek.server.smtp;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import app.jubek.core.message.ByteSource;
import app.jubek.core.plan.Advice;
import app.jubek.core.plan.Failure;
import app.jubek.core.plan.Trouble;
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
    private final List<String> said = new ArrayList<>();
    private ServerSocket server;

    private SmtpFault send(String body, String... answers) throws Exception {
        return sendTo("b@y.example", "Subject: s\r\n\r\n" + body, answers);
    }

    private SmtpFault sendTo(String recipient, String message, String... answers) throws Exception {
        server = new ServerSocket(0);
        Thread thread = new Thread(() -> play(answers));
        thread.start();
        SmtpFault fault = catchThrowableOfType(SmtpFault.class, () -> {
            try (SmtpSession session = SmtpSession.open(new MailServer("127.0.0.1", server.getLocalPort()), "u", "p")) {
                session.send("a@x.example", recipient, ByteSource.of(message.getBytes(StandardCharsets.UTF_8)));
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
                    said.add(String.valueOf(in.readLine()));
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
        assertThat(fault.trouble()).isEqualTo(Trouble.of(Failure.EIGHT_BIT_NOT_TAKEN.with(), Advice.FORWARD_INSTEAD));
    }

    @Test
    void aDotAfterABareLineEndIsNotSmuggledThrough() throws Exception {
        assertThat(send("x\n.\r\nMAIL FROM:<evil@x.example>", "220 hi", "250 x", "drop")
                        .trouble()
                        .cause())
                .isEqualTo(Failure.FORBIDDEN_LINE_END.with());
    }

    /** RFC 4954: where every way to sign in is unknown, nothing is sent as if nobody had asked. */
    @Test
    void aServerThatOffersNoKnownSignInGetsNothing() throws Exception {
        SmtpFault fault = send("x", "220 hi", "250 AUTH LOGIN XOAUTH2", "250 ok", "drop");
        assertThat(fault.trouble())
                .isEqualTo(Trouble.of(Failure.NO_SIGN_IN.with("127.0.0.1"), Advice.ASK_MAIL_ADMINISTRATOR));
        assertThat(said).noneMatch(line -> line.startsWith("MAIL"));
    }

    /** RFC 5321 §4.1.4: a client without a name in DNS says its address. */
    @Test
    void helloNamesTheAddressOfThisEnd() throws Exception {
        send("x", "220 hi", "250 x", "550 no", "drop");
        assertThat(said).first().isEqualTo("EHLO [127.0.0.1]");
    }

    /** RFC 1870 §6. */
    @Test
    void aMessageLargerThanTheServerTakesIsRefusedBeforeItIsSent() throws Exception {
        assertThat(send("x".repeat(100), "220 hi", "250 SIZE 50", "250 ok", "drop")
                        .trouble())
                .isEqualTo(Trouble.of(Failure.LARGER_THAN_SERVER_TAKES.with(114, 50L), Advice.SEND_A_LINK));
        assertThat(said).noneMatch(line -> line.startsWith("MAIL"));
        said.clear();
        send("x", "220 hi", "250 SIZE 500", "550 no", "drop");
        assertThat(said).contains("MAIL FROM:<a@x.example> SIZE=15");
    }

    /** RFC 6531 §3.1, §3.4. */
    @Test
    void lettersBeyondAsciiInAnAddressOrAHeaderNeedAServerThatTakesThem() throws Exception {
        String plain = "Subject: s\r\n\r\nx";
        assertThat(sendTo("jörg@y.example", plain, "220 hi", "250 8BITMIME", "drop")
                        .trouble()
                        .cause())
                .isEqualTo(Failure.ADDRESS_BEYOND_ASCII_NOT_TAKEN.with("jörg@y.example"));
        assertThat(sendTo("b@y.example", "Subject: grün\r\n\r\nx", "220 hi", "250 8BITMIME", "drop")
                        .trouble()
                        .cause())
                .isEqualTo(Failure.HEADER_BEYOND_ASCII_NOT_TAKEN.with());
        said.clear();
        sendTo("jörg@y.example", plain, "220 hi", "250 SMTPUTF8", "550 no", "drop");
        assertThat(said).contains("MAIL FROM:<a@x.example> SMTPUTF8");
    }
}
