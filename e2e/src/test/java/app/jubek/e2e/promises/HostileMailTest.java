package app.jubek.e2e.promises;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.OutputStream;
import java.net.Socket;
import java.net.SocketException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CopyOnWriteArrayList;
import org.junit.jupiter.api.Test;

/** Whatever strangers send between them, honest messages are handed on and answered, and what can't be read is shown. */
class HostileMailTest {
    private static final Duration SOON = Duration.ofSeconds(10);
    private static final String NESTED = "(".repeat(80_000);

    private Bench bench;
    private Node node;
    private int honest;

    @Test
    void honestMailIsHandedOnAndAnsweredWhateverStrangersSendBetween() throws Exception {
        try (Bench opened = new Bench("hostile")) {
            bench = opened;
            useRulesOfEveryKind();
            node = bench.start();
            List<String> unwell = new CopyOnWriteArrayList<>();
            Thread watch = watchHealth(unwell);
            honestIsHandled();
            List<Sent> all = hostile();
            for (Sent hostile : all) {
                send(hostile);
                honestIsHandled();
            }
            assertThat(bench.mail(Bench.VISITS, "INBOX")).hasSize(all.size() + honest);
            Bench.await("what is too costly is shown", () -> causes().containsKey("costly"));
            assertThat(causes().get("costly")).isEqualTo("ASIDE_TOO_COSTLY");
            assertThat(causes())
                    .doesNotContainKeys("hidden", "urgent visit 1", "nested")
                    .allSatisfy((subject, cause) -> {
                        assertThat(cause).as(subject).isNotBlank();
                    });
            Bench.await(
                    "the mailbox is watched",
                    () -> node.mailboxView().get("watching").stringValue().equals("WATCHING"));
            watch.interrupt();
            assertThat(unwell).isEmpty();
        }
    }

    private void useRulesOfEveryKind() throws IOException {
        try (InputStream rules = HostileMailTest.class.getResourceAsStream("/promises/hostile-rules.json")) {
            Files.write(bench.folder.resolve("rules.json"), rules.readAllBytes());
        }
    }

    /** Of the messages that the page lists as set aside, by subject. */
    private Map<String, String> causes() {
        Map<String, String> causes = new HashMap<>();
        node.setAside()
                .forEach(one -> causes.put(
                        one.at("/message/subject").stringValue(),
                        one.at("/cause/code").stringValue()));
        return causes;
    }

    private Thread watchHealth(List<String> unwell) {
        Thread watch = new Thread(() -> {
            while (!Thread.currentThread().isInterrupted()) {
                int status = node.get("/readyz").statusCode();
                if (status != 200) {
                    unwell.add("readyz " + status);
                }
                Bench.pause(250);
            }
        });
        watch.setDaemon(true);
        watch.start();
        return watch;
    }

    private void honestIsHandled() {
        String subject = "urgent visit " + ++honest;
        bench.deliver(Bench.letter("anna" + honest + "@birkhall.example", subject, "Are you open on Sunday?"));
        for (String kind : List.of("REDIRECT", "FORWARD", "REPLY")) {
            Bench.await(
                    kind + " of " + subject,
                    SOON,
                    () -> Bench.steps(node, subject, kind).stream()
                            .anyMatch(step -> step.get("state").stringValue().equals("SENT")));
        }
    }

    private record Sent(String from, String mail) {}

    private static List<Sent> hostile() {
        List<Sent> all = new ArrayList<>();
        for (String path : List.of(
                "bob@[192.0.2.1]",
                "bobby",
                "\"a b\"@x",
                "\"a>b\"@x",
                "carl@exam!ple.example",
                "d@" + "e.".repeat(100) + "f")) {
            all.add(new Sent(path, mail("from " + path.length(), "hello")));
        }
        all.add(hidden("Subject: " + "re:".repeat(3_000) + "urgent"));
        all.add(hidden("Precedence: " + NESTED));
        all.add(hidden("Auto-Submitted: " + NESTED));
        all.add(hidden("Authentication-Results: \"" + "\\".repeat(10_000)));
        all.add(hidden("Subject: " + "=?".repeat(30_000)));
        all.add(hidden("Content-Disposition: attachment" + ";filename*1*=".repeat(5_000)));
        all.add(hidden("X-Long: " + "y".repeat(900_000)));
        all.add(hidden("Subject: a\u0000b\u202Ec\r\nMessage-ID: <x\u0000y@stranger.example>"));
        all.add(new Sent(
                "m@stranger.example", mail("markup", "<b>".repeat(300_000)).replace("text/plain", "text/html")));
        all.add(new Sent("t@stranger.example", mail("marks", "\u0301\u0316".repeat(200_000))));
        all.add(new Sent("n@stranger.example", nested()));
        all.add(new Sent("c@stranger.example", mail("costly", "xy".repeat(40_000))));
        return all;
    }

    private static Sent hidden(String field) {
        return new Sent("h@stranger.example", field + "\r\n" + mail("hidden", "hello"));
    }

    private static String mail(String subject, String text) {
        return "From: S <s@stranger.example>\r\nTo: " + Bench.VISITS + "\r\nSubject: " + subject
                + "\r\nContent-Type: text/plain; charset=utf-8\r\n\r\n" + text + "\r\n";
    }

    private static String nested() {
        StringBuilder nested = new StringBuilder("From: s@stranger.example\r\nSubject: nested\r\n");
        for (int i = 0; i < 200; i++) {
            nested.append("Content-Type: multipart/mixed; boundary=b")
                    .append(i)
                    .append("\r\n\r\n--b")
                    .append(i)
                    .append("\r\n");
        }
        return nested.toString();
    }

    /** As a stranger's mail server speaks; what the post office itself refuses lies there all the same. */
    private void send(Sent hostile) throws IOException {
        byte[] bytes = hostile.mail().getBytes(StandardCharsets.UTF_8);
        if (!accepted(hostile.from(), bytes)) {
            bench.office().deliver(hostile.from(), Bench.VISITS, bytes);
        }
    }

    private boolean accepted(String from, byte[] bytes) throws IOException {
        try (Socket socket = new Socket("127.0.0.1", bench.settings.smtpPort())) {
            socket.setSoTimeout(20_000);
            BufferedReader in =
                    new BufferedReader(new InputStreamReader(socket.getInputStream(), StandardCharsets.ISO_8859_1));
            OutputStream out = socket.getOutputStream();
            in.readLine();
            String envelope = said(out, in, "HELO stranger.example")
                    + said(out, in, "MAIL FROM:<" + from + ">")
                    + said(out, in, "RCPT TO:<" + Bench.VISITS + ">");
            if (!envelope.equals("222") || !said(out, in, "DATA").equals("3")) {
                return false;
            }
            out.write(bytes);
            return said(out, in, "\r\n.").equals("2");
        } catch (SocketException cutOff) {
            return false;
        }
    }

    private static String said(OutputStream out, BufferedReader in, String command) throws IOException {
        out.write((command + "\r\n").getBytes(StandardCharsets.UTF_8));
        out.flush();
        String answer = in.readLine();
        return answer == null ? "5" : answer.substring(0, 1);
    }
}
