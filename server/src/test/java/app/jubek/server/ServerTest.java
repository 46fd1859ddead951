package app.jubek.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.formats.rulebook.RuleBookJson;
import app.jubek.server.records.RecordFilter;
import app.jubek.server.records.RecordSearch;
import app.jubek.server.rulebook.RuleBooks;
import app.jubek.server.step.StepView;
import jakarta.mail.AuthenticationFailedException;
import jakarta.mail.Flags;
import jakarta.mail.Folder;
import jakarta.mail.Message;
import jakarta.mail.MessagingException;
import jakarta.mail.Session;
import jakarta.mail.Store;
import jakarta.mail.UIDFolder;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Properties;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Real mail in, and looking at what became of it. */
abstract class ServerTest extends ServerContext {

    @LocalServerPort
    int port;

    @Autowired
    JdbcClient jdbc;

    @Autowired
    RuleBooks books;

    @Autowired
    app.jubek.server.queue.Outbox outbox;

    @Autowired
    RecordSearch records;

    UUID mailbox;

    @BeforeEach
    void theMailboxIsWatched() {
        await(
                "the mailbox is there",
                () -> jdbc.sql("select count(*) from mailbox where watching = 'WATCHING' and position = 0")
                                .query(Integer.class)
                                .single()
                        == 1);
        mailbox = jdbc.sql("select id from mailbox where position = 0")
                .query(UUID.class)
                .single();
    }

    void rules(String... rules) {
        String document =
                "{\"format\":\"jubek-rule-book\",\"formatVersion\":2,\"rules\":[" + String.join(",", rules) + "]}";
        books.save(mailbox, books.current(mailbox).version(), RuleBookJson.read(document), "test");
    }

    /** A rule for mail with a word in its subject. */
    static String rule(String id, String word, String ending, String... steps) {
        return """
                {"id":"%s","version":1,"name":"%s","picksOut":{"part":"subject","how":"contains","values":["%s"]},
                "does":[%s],"ending":"%s","on":true}""".formatted(id, id, word, String.join(",", steps), ending);
    }

    static String step(String json) {
        return json.replace('\'', '"');
    }

    /** Hands a message in by SMTP, byte for byte, from an envelope sender that may be empty. */
    static void send(String from, String to, byte[] bytes) {
        try (Socket socket = new Socket("127.0.0.1", World.get().settings.smtpPort())) {
            OutputStream out = socket.getOutputStream();
            InputStream in = socket.getInputStream();
            expect(in, '2');
            for (String line : List.of("EHLO test", "MAIL FROM:<" + from + ">", "RCPT TO:<" + to + ">")) {
                command(out, line);
                expect(in, '2');
            }
            command(out, "DATA");
            expect(in, '3');
            String stuffed = new String(bytes, StandardCharsets.ISO_8859_1).replace("\r\n.", "\r\n..");
            out.write(stuffed.getBytes(StandardCharsets.ISO_8859_1));
            command(out, stuffed.endsWith("\r\n") ? "." : "\r\n.");
            expect(in, '2');
        } catch (IOException failed) {
            throw new IllegalStateException(failed);
        }
    }

    static void write(String from, String to, String subject, String text) {
        String mail = "From: " + from + "\r\nTo: " + to + "\r\nSubject: " + subject + "\r\nMessage-ID: <"
                + UUID.randomUUID() + "@school.example>\r\n\r\n" + text + "\r\n";
        send(from, to, mail.getBytes(StandardCharsets.UTF_8));
    }

    private static void command(OutputStream out, String line) throws IOException {
        out.write((line + "\r\n").getBytes(StandardCharsets.US_ASCII));
        out.flush();
    }

    private static void expect(InputStream in, char digit) throws IOException {
        StringBuilder line = new StringBuilder("    ");
        do {
            line.setLength(0);
            for (int c = in.read(); c != '\n' && c >= 0; c = in.read()) {
                line.append((char) c);
            }
        } while (line.length() > 3 && line.charAt(3) == '-');
        assertThat(line.charAt(0)).as(line.toString()).isEqualTo(digit);
    }

    /** What a mailbox holds, raw, by folder; asked by IMAP. */
    static List<String> mail(String address, String folder) {
        return inFolder(address, folder, messages -> {
            List<String> all = new ArrayList<>();
            for (Message message : messages) {
                ByteArrayOutputStream out = new ByteArrayOutputStream();
                message.writeTo(out);
                all.add(out.toString(StandardCharsets.UTF_8));
            }
            return all;
        });
    }

    static List<Flags> flags(String address, String folder, String subject) {
        return inFolder(address, folder, messages -> {
            List<Flags> all = new ArrayList<>();
            for (Message message : messages) {
                if (subject.equals(message.getSubject())) {
                    all.add(message.getFlags());
                }
            }
            return all;
        });
    }

    /** Once in the inbox, unread and flagged. */
    static boolean isBack(String subject) {
        List<Flags> found = flags(World.VISITS, "INBOX", subject);
        return found.size() == 1
                && !found.get(0).contains(Flags.Flag.SEEN)
                && found.get(0).contains(Flags.Flag.FLAGGED);
    }

    /** Lays a message into a folder, past the mail server's way in. */
    static void lay(String folder, String subject) {
        lay(folder, subject, "");
    }

    /**
     * @param more header fields, each with its end of line
     */
    static void lay(String folder, String subject, String more) {
        try (Store store = session().getStore("imap")) {
            store.connect("127.0.0.1", World.get().settings.imapPort(), World.VISITS, "ostrel");
            Folder into = store.getFolder(folder);
            if (!into.exists()) {
                into.create(Folder.HOLDS_MESSAGES);
            }
            byte[] bytes = ("Return-Path: <anna@school.example>\r\nFrom: anna@school.example\r\nSubject: " + subject
                            + "\r\nMessage-ID: <" + UUID.randomUUID() + "@school.example>\r\n" + more + "\r\nx\r\n")
                    .getBytes(StandardCharsets.UTF_8);
            into.appendMessages(new Message[] {
                new jakarta.mail.internet.MimeMessage(
                        Session.getInstance(new Properties()), new java.io.ByteArrayInputStream(bytes))
            });
        } catch (MessagingException failed) {
            throw new IllegalStateException(failed);
        }
    }

    private static Session session() {
        Properties properties = new Properties();
        properties.put("mail.imap.peek", "true");
        // Piece by piece a message of many megabytes takes minutes.
        properties.put("mail.imap.partialfetch", "false");
        properties.put("mail.imap.connectiontimeout", "30000");
        properties.put("mail.imap.timeout", "30000");
        return Session.getInstance(properties);
    }

    interface Looking<T> {
        T at(Message[] messages) throws MessagingException, IOException;
    }

    static <T> T inFolder(String address, String folder, Looking<T> looking) {
        try (Store store = session().getStore("imap")) {
            store.connect("127.0.0.1", World.get().settings.imapPort(), address, "ostrel");
            Folder opened = store.getFolder(folder);
            if (!opened.exists()) {
                return looking.at(new Message[0]);
            }
            opened.open(Folder.READ_WRITE);
            T found = looking.at(opened.getMessages());
            opened.close(false);
            return found;
        } catch (AuthenticationFailedException noSuchMailbox) {
            return nothing(looking);
        } catch (MessagingException | IOException failed) {
            throw new IllegalStateException(failed);
        }
    }

    private static <T> T nothing(Looking<T> looking) {
        try {
            return looking.at(new Message[0]);
        } catch (MessagingException | IOException failed) {
            throw new IllegalStateException(failed);
        }
    }

    /** Everything that lies in the inbox has been taken in. */
    void settled() {
        await("all mail is taken in", () -> {
            long last = inFolder(
                    World.VISITS,
                    "INBOX",
                    m -> m.length == 0 ? 0L : ((UIDFolder) m[0].getFolder()).getUID(m[m.length - 1]));
            return jdbc.sql("select uid from folder_cursor where folder = 'INBOX' and mailbox_id = ?")
                            .param(mailbox)
                            .query(Long.class)
                            .single()
                    >= last;
        });
    }

    List<StepView> steps(String rule) {
        Optional<String> none = Optional.empty();
        RecordFilter ofRule = new RecordFilter(
                Set.of(), Set.of(), Optional.of(rule), none, none, none, Optional.empty(), Optional.empty());
        return records.page(mailbox, ofRule, Optional.empty(), 500).steps();
    }
}
