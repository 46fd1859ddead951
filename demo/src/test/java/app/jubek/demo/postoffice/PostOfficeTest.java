package app.jubek.demo.postoffice;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.demo.garden.GardenMail;
import app.jubek.demo.garden.Week;
import com.icegreen.greenmail.store.StoredMessage;
import jakarta.mail.Flags;
import jakarta.mail.Folder;
import jakarta.mail.Message;
import jakarta.mail.MessagingException;
import jakarta.mail.Session;
import jakarta.mail.Store;
import jakarta.mail.UIDFolder;
import jakarta.mail.internet.MimeMessage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Date;
import java.util.List;
import java.util.Properties;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class PostOfficeTest {
    private static final String NOOR = "noor@ostrel-gardens.example";

    @TempDir
    private Path folder;

    private PostOffice.Settings settings;

    private PostOffice open() throws IOException {
        settings = PostOffice.Settings.onFreePorts(folder, "ostrel");
        PostOffice office = new PostOffice(settings, bytes -> {});
        office.start();
        return office;
    }

    private interface Acting {
        void on(Folder folder) throws Exception;
    }

    /** What Noor's inbox holds after an act: "validity uid subject flags". */
    private List<String> inbox(Acting acting) throws Exception {
        try (Store store = Session.getInstance(new Properties()).getStore("imap")) {
            store.connect("127.0.0.1", settings.imapPort(), NOOR, "ostrel");
            Folder inbox = store.getFolder("INBOX");
            inbox.open(Folder.READ_WRITE);
            acting.on(inbox);
            inbox.expunge();
            List<String> lines = new ArrayList<>();
            for (Message message : inbox.getMessages()) {
                UIDFolder numbered = (UIDFolder) inbox;
                lines.add(numbered.getUIDValidity() + " " + numbered.getUID(message) + " " + message.getSubject() + " "
                        + message.isSet(Flags.Flag.FLAGGED));
            }
            inbox.close(false);
            return lines;
        }
    }

    private static GardenMail.Letter letter(String subject) {
        byte[] bytes =
                ("From: a@b.example\r\nSubject: " + subject + "\r\n\r\nx\r\n").getBytes(StandardCharsets.US_ASCII);
        return new GardenMail.Letter("test", "INBOX", Instant.parse("2026-03-29T10:00:00Z"), false, bytes);
    }

    @Test
    void mailNumbersAndMarksOutliveARestart() throws Exception {
        List<String> before;
        try (PostOffice office = open()) {
            office.fill(NOOR, List.of(letter("one"), letter("two"), letter("three")));
            before = inbox(f -> {
                f.getMessage(3).setFlag(Flags.Flag.FLAGGED, true);
                f.getMessage(1).setFlag(Flags.Flag.DELETED, true);
            });
            assertThat(before).hasSize(2);
            office.clock().moveTo(Duration.ofDays(3));
        }
        try (PostOffice office = open()) {
            assertThat(inbox(f -> {})).isEqualTo(before);
            assertThat(office.clock().offset()).isEqualTo(Duration.ofDays(3));
        }
    }

    /** RFC 9051 §6.3.12: the hours of the day are 0 to 23. */
    @ParameterizedTest
    @ValueSource(strings = {"2026-03-29T00:04:23Z", "2026-03-29T12:04:23Z", "2026-03-29T23:59:59Z"})
    void anAppendedMessageKeepsItsDateOfArrivalThatIsNoonToo(String arrived) throws Exception {
        try (PostOffice office = open()) {
            office.fill(NOOR, List.of());
            List<Instant> dates = new ArrayList<>();
            inbox(f -> {
                f.appendMessages(new Message[] {arrivedAt(Instant.parse(arrived))});
                dates.add(f.getMessage(1).getReceivedDate().toInstant());
            });
            assertThat(dates).containsExactly(Instant.parse(arrived));
        }
    }

    private static Message arrivedAt(Instant at) throws MessagingException {
        return new MimeMessage(null, new ByteArrayInputStream(letter("noon").bytes())) {
            @Override
            public Date getReceivedDate() {
                return Date.from(at);
            }
        };
    }

    @Test
    void whoReadsAFolderIsNotDisturbedByMailThatComesIn() {
        Mailboxes mailboxes = new Mailboxes(folder, "ostrel");
        mailboxes.deliver(NOOR, letter("one").bytes(), Instant.EPOCH);
        List<StoredMessage> read = mailboxes.folder(NOOR, "INBOX").orElseThrow().getMessages();
        mailboxes.deliver(NOOR, letter("two").bytes(), Instant.EPOCH);
        assertThat(read).hasSize(1);
    }

    private HttpResponse<String> traffic(String method, String body) throws Exception {
        HttpRequest request = HttpRequest.newBuilder(
                        URI.create("http://127.0.0.1:" + settings.controlPort() + "/traffic"))
                .method(method, HttpRequest.BodyPublishers.ofString(body))
                .build();
        return HttpClient.newHttpClient().send(request, HttpResponse.BodyHandlers.ofString());
    }

    private int weekLeft(String method) throws Exception {
        String said = traffic(method, "").body();
        return Integer.parseInt(said.replaceAll(".*\"weekLeft\":(\\d+).*", "$1"));
    }

    @Test
    void mailComesInByItselfAtThePaceThatIsAskedFor() throws Exception {
        try (PostOffice office = open()) {
            office.open(List.of(GardenMail.VISITS));
            assertThat(traffic("PUT", "{\"paused\":false,\"everySeconds\":0}").body())
                    .contains("every 1 to 3600 seconds, not 0");
            traffic("PUT", "{\"paused\":false,\"everySeconds\":1}");
            for (int i = 0; i < 300 && office.raw(GardenMail.VISITS, "INBOX").isEmpty(); i++) {
                Thread.sleep(50);
            }
            assertThat(office.raw(GardenMail.VISITS, "INBOX")).isNotEmpty();
        }
    }

    @Test
    void aWeekThatWasFilledInAsPastMailDoesNotComeOnceMore() throws Exception {
        Instant end = Instant.now().truncatedTo(ChronoUnit.SECONDS);
        try (PostOffice office = open()) {
            office.fillGardens(end, 200, false);
        }
        try (PostOffice office = open()) {
            office.fillGardens(end, 200, true);
            assertThat(weekLeft("GET")).isZero();
            assertThat(office.clock().offset()).isZero();
        }
    }

    @Test
    void theLastWeekComesInSomeHoursAtATimeGoesOnAfterARestartAndEndsAtTheRightTime() throws Exception {
        Instant end = Instant.now().truncatedTo(ChronoUnit.SECONDS);
        int left;
        try (PostOffice office = open()) {
            office.fillGardens(end, 700, true);
            assertThat(office.clock().offset()).isEqualTo(Week.LENGTH.negated());
            assertThat(weekLeft("GET")).isGreaterThan(10);
            left = weekLeft("POST");
            assertThat(office.clock().instant()).isBetween(end.minus(Week.LENGTH), end);
        }
        try (PostOffice office = open()) {
            office.fillGardens(Instant.now(), 700, true);
            assertThat(weekLeft("GET")).isEqualTo(left);
            while (left > 0) {
                left = weekLeft("POST");
            }
            assertThat(office.clock().offset()).isZero();
            assertThat(office.raw(GardenMail.VISITS, "INBOX")).hasSizeGreaterThanOrEqualTo(700);
        }
    }
}
