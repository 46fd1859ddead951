package app.jubek.demo.postoffice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class SmtpSideTest {
    @TempDir
    private Path folder;

    private PostOffice.Settings settings;
    private PostOffice office;
    private final List<String> accepted = new ArrayList<>();

    @BeforeEach
    void open() throws IOException {
        settings = PostOffice.Settings.onFreePorts(folder, "ostrel");
        office = new PostOffice(settings, bytes -> accepted.add(new String(bytes, StandardCharsets.UTF_8)));
        office.start();
    }

    @AfterEach
    void close() {
        office.close();
    }

    /** The last answer to some lines said one after the other. */
    private String say(String... lines) throws IOException {
        try (Socket socket = new Socket("127.0.0.1", settings.smtpPort());
                BufferedReader in =
                        new BufferedReader(new InputStreamReader(socket.getInputStream(), StandardCharsets.US_ASCII))) {
            String answer = in.readLine();
            for (String line : lines) {
                socket.getOutputStream().write((line + "\r\n").getBytes(StandardCharsets.UTF_8));
                do {
                    answer = in.readLine();
                } while (answer.length() > 3 && answer.charAt(3) == '-');
            }
            return answer;
        }
    }

    private String get(String path) throws IOException, InterruptedException {
        HttpRequest request = HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + settings.controlPort() + path))
                .build();
        return HttpClient.newHttpClient()
                .send(request, HttpResponse.BodyHandlers.ofString())
                .body();
    }

    private static String[] mail(String from, String to) {
        return new String[] {
            "EHLO test", "MAIL FROM:<" + from + ">", "RCPT TO:<" + to + ">", "DATA", "Subject: s\r\n\r\nhello\r\n."
        };
    }

    @Test
    void anybodyMayReceiveAndTheNullSenderIsTaken() throws Exception {
        assertThat(say(mail("", "friend@far.example"))).startsWith("250");
        assertThat(get("/mailboxes")).contains("\"address\":\"friend@far.example\",\"messages\":1");
        assertThat(get("/raw?address=friend@far.example&folder=INBOX&uid=1"))
                .startsWith("Return-Path: <>")
                .endsWith("\r\n\r\nhello\r\n");
        assertThat(accepted).containsExactly("Subject: s\r\n\r\nhello\r\n");
    }

    @Test
    void mailToAnAliasReachesTheDesk() throws Exception {
        say(mail("a@b.example", "photos@ostrel-gardens.example"));
        assertThat(get("/messages?address=visits@ostrel-gardens.example")).contains("\"subject\":\"s\"");
    }

    @Test
    void aRecipientIsRefusedOnCommandAsOftenAsAsked() throws Exception {
        office.bench().refuse("Gone@far.example", 451, 2);
        String[] recipient = {"EHLO test", "MAIL FROM:<a@b.example>", "RCPT TO:<gone@far.example>"};
        assertThat(say(recipient)).startsWith("451");
        assertThat(say(recipient)).startsWith("451");
        assertThat(say(recipient)).startsWith("250");
    }

    @Test
    void mailThatComesInCarriesTheTimeOfTheMovedClock() throws Exception {
        office.clock().moveTo(Duration.ofDays(400));
        say(mail("a@b.example", "friend@far.example"));
        String year = String.valueOf(java.time.Instant.now()
                .plus(Duration.ofDays(400))
                .atZone(java.time.ZoneOffset.UTC)
                .getYear());
        assertThat(get("/messages?address=friend@far.example")).contains("\"received\":\"" + year);
        assertThat(get("/clock")).isEqualTo("{\"offsetSeconds\":34560000}");
    }

    @Test
    void anUnknownQuestionIsAnsweredWithItsCause() throws Exception {
        assertThat(get("/messages")).isEqualTo("missing address");
        assertThatThrownBy(() -> new Arguments(new String[] {"smtp", "1"})).hasMessage("expected --name before smtp");
        assertThatThrownBy(() -> new Arguments(new String[0]).text("data")).hasMessage("missing --data");
    }
}
