package app.jubek.demo.faults;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.jubek.demo.postoffice.PostOffice;
import jakarta.mail.Folder;
import jakarta.mail.Message;
import jakarta.mail.MessagingException;
import jakarta.mail.Session;
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
import java.util.List;
import java.util.Properties;
import org.eclipse.angus.mail.imap.IMAPFolder;
import org.eclipse.angus.mail.imap.IMAPStore;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Each trouble as a client meets it. */
class FaultBenchTest {
    private static final String NOOR = "noor@ostrel-gardens.example";
    private static final String[] LETTER = {
        "EHLO test", "MAIL FROM:<a@b.example>", "RCPT TO:<" + NOOR + ">", "DATA", "Subject: s\r\n\r\nhello\r\n."
    };

    @TempDir
    private Path folder;

    private PostOffice.Settings settings;
    private PostOffice office;

    @BeforeEach
    void open() throws IOException {
        settings = PostOffice.Settings.onFreePorts(folder, "ostrel");
        office = new PostOffice(settings, bytes -> {});
        office.open(List.of(NOOR));
        office.start();
    }

    @AfterEach
    void close() {
        office.close();
    }

    /** The last answer to some lines said one after the other; "gone" when there is none. */
    private String say(String... lines) throws IOException {
        try (Socket socket = new Socket("127.0.0.1", settings.smtpPort());
                BufferedReader in =
                        new BufferedReader(new InputStreamReader(socket.getInputStream(), StandardCharsets.US_ASCII))) {
            String answer = in.readLine();
            for (String line : lines) {
                socket.getOutputStream().write((line + "\r\n").getBytes(StandardCharsets.UTF_8));
                do {
                    answer = in.readLine();
                } while (answer != null && answer.length() > 3 && answer.charAt(3) == '-');
            }
            return answer == null ? "gone" : answer;
        }
    }

    private interface Looking {
        Object at(IMAPStore store, IMAPFolder inbox) throws MessagingException;
    }

    private String imap(Properties properties, String host, Looking looking) throws MessagingException {
        try (IMAPStore store = (IMAPStore) Session.getInstance(properties).getStore("imap")) {
            store.connect(host, settings.imapPort(), NOOR, "ostrel");
            IMAPFolder inbox = (IMAPFolder) store.getFolder("INBOX");
            return String.valueOf(looking.at(store, inbox));
        }
    }

    private String imap(Looking looking) throws MessagingException {
        return imap(new Properties(), "127.0.0.1", looking);
    }

    private int inInbox() throws MessagingException {
        return Integer.parseInt(imap((store, inbox) -> {
            inbox.open(Folder.READ_ONLY);
            return inbox.getMessageCount();
        }));
    }

    private void command(String json) throws IOException, InterruptedException {
        HttpRequest request = HttpRequest.newBuilder(
                        URI.create("http://127.0.0.1:" + settings.controlPort() + "/faults"))
                .POST(HttpRequest.BodyPublishers.ofString(json))
                .build();
        HttpResponse<String> answer = HttpClient.newHttpClient().send(request, HttpResponse.BodyHandlers.ofString());
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
    }

    @Test
    void aConversationBreaksOffBeforeOrAfterTheMessageIsTaken() throws Exception {
        office.bench().call("dropped-before-dot", 1);
        assertThat(say(LETTER)).isEqualTo("gone");
        assertThat(inInbox()).isZero();
        office.bench().call("dropped-after-dot", 1);
        assertThat(say(LETTER)).isEqualTo("gone");
        assertThat(inInbox()).isEqualTo(1);
        assertThat(say(LETTER)).startsWith("250");
    }

    @Test
    void aServerRefusesForNowOrForGoodAndSaysWhy() throws Exception {
        office.bench().call("message-too-large", 1);
        assertThat(say(LETTER)).startsWith("552");
        office.bench().call("sender-refused", 1);
        assertThat(say("EHLO test", "MAIL FROM:<a@b.example>")).startsWith("553");
        assertThat(say("EHLO test", "MAIL FROM:<>")).startsWith("250");
        office.bench().call("smtp-busy", 1);
        assertThat(say("EHLO test", "MAIL FROM:<>", "RCPT TO:<x@y.example>")).startsWith("451");
    }

    @Test
    void whatIsHeldGoesOnWhenReleased() throws Exception {
        office.bench().call("smtp-hangs-before-mail", 1);
        Thread letter = new Thread(() -> {
            try {
                say(LETTER);
            } catch (IOException failed) {
                throw new IllegalStateException(failed);
            }
        });
        letter.start();
        while (office.bench().waiting() == 0) {
            Thread.sleep(5);
        }
        assertThat(inInbox()).isZero();
        office.bench().release();
        letter.join();
        assertThat(inInbox()).isEqualTo(1);
    }

    @Test
    void capabilitiesAreHiddenAndTheirCommandsUnknown() throws Exception {
        assertThat(imap((store, inbox) -> store.hasCapability("MOVE") && store.hasCapability("SPECIAL-USE")))
                .isEqualTo("true");
        for (String capability : new String[] {"move", "idle", "uidplus"}) {
            office.bench().call("no-" + capability, 0);
            assertThat(imap((store, inbox) -> store.hasCapability(capability.toUpperCase(java.util.Locale.ROOT))))
                    .as(capability)
                    .isEqualTo("false");
        }
        office.bench().call("quota-full", 0);
        say(LETTER);
        assertThatThrownBy(() -> imap((store, inbox) -> {
                    inbox.open(Folder.READ_WRITE);
                    inbox.copyMessages(new Message[] {inbox.getMessage(1)}, inbox);
                    return true;
                }))
                .hasMessageContaining("OVERQUOTA");
    }

    @Test
    void aFolderIsNumberedAnewAsAfterARestore() throws Exception {
        say(LETTER);
        say(LETTER);
        long before = Long.parseLong(imap((store, inbox) -> {
            inbox.open(Folder.READ_ONLY);
            return inbox.getUIDValidity();
        }));
        command("{\"renumber\":\"INBOX\",\"of\":\"" + NOOR + "\"}");
        office.close();
        office = new PostOffice(settings, bytes -> {});
        office.start();
        assertThat(imap((store, inbox) -> {
                    inbox.open(Folder.READ_ONLY);
                    return inbox.getUIDValidity() + " " + inbox.getUIDNext() + " " + inbox.getMessageCount();
                }))
                .isEqualTo((before + 1) + " 3 2");
    }

    @Test
    void aRenamedFolderKeepsItsMailOverARestart() throws Exception {
        say(LETTER);
        imap((store, inbox) -> {
            inbox.open(Folder.READ_WRITE);
            store.getFolder("Old").create(Folder.HOLDS_MESSAGES);
            inbox.copyMessages(inbox.getMessages(), store.getFolder("Old"));
            return store.getFolder("Old").renameTo(store.getFolder("New"));
        });
        office.close();
        office = new PostOffice(settings, bytes -> {});
        office.start();
        assertThat(imap((store, inbox) -> store.getFolder("New").getMessageCount()))
                .isEqualTo("1");
    }

    @Test
    void tlsIsOfferedWithAValidOrAnExpiredCertificateOrStripped() throws Exception {
        Properties tls = new Properties();
        tls.put("mail.imap.starttls.required", "true");
        tls.put("mail.imap.ssl.trust", "127.0.0.2");
        assertThat(imap(tls, "127.0.0.2", (store, inbox) -> store.isSSL())).isEqualTo("true");
        office.bench().call("starttls-stripped", 0);
        assertThatThrownBy(() -> imap(tls, "127.0.0.2", (store, inbox) -> true))
                .hasMessageContaining("STARTTLS required");
        assertThatThrownBy(() -> office.bench().call("rain", 1)).hasMessageContaining("no trouble \"rain\"");
    }
}
