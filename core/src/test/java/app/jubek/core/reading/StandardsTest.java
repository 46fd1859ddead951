package app.jubek.core.reading;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.Mails;
import app.jubek.core.address.MailAddress;
import app.jubek.core.message.Attachment;
import app.jubek.core.message.HeaderField;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.message.ReadingNote;
import app.jubek.core.message.Role;
import app.jubek.core.message.SentBy;
import jakarta.mail.Session;
import jakarta.mail.internet.MimeMessage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import java.nio.file.FileSystem;
import java.nio.file.FileSystems;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Properties;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Messages from outside the project: worked examples of the standards, and a published set of hard messages. */
class StandardsTest {
    private static List<String> addresses(ReadMessage message, Role role) {
        return message.in(role).stream().map(MailAddress::address).toList();
    }

    /** RFC 5322 Appendix A.1.1. */
    @Test
    void aMessageFromOnePersonToAnother() {
        ReadMessage message = Mails.read("""
                From: John Doe <jdoe@machine.example>
                Sender: Michael Jones <mjones@machine.example>
                To: Mary Smith <mary@example.net>
                Subject: Saying Hello
                Date: Fri, 21 Nov 1997 09:55:06 -0600
                Message-ID: <1234@local.machine.example>

                This is a message just to say hello.
                So, "Hello".
                """.replace("\n", "\r\n"));
        assertThat(addresses(message, Role.FROM)).containsExactly("jdoe@machine.example");
        assertThat(addresses(message, Role.SENDER)).containsExactly("mjones@machine.example");
        assertThat(message.in(Role.TO).get(0).name()).isEqualTo("Mary Smith");
        assertThat(message.date()).contains(Instant.parse("1997-11-21T15:55:06Z"));
        assertThat(message.messageId()).contains("<1234@local.machine.example>");
    }

    /** RFC 5322 Appendix A.1.2. */
    @Test
    void differentTypesOfMailboxes() {
        ReadMessage message = Mails.read("""
                From: "Joe Q. Public" <john.q.public@example.com>
                To: Mary Smith <mary@x.test>, jdoe@example.org, Who? <one@y.test>
                Cc: <boss@nil.test>, "Giant; \\"Big\\" Box" <sysservices@example.net>
                Date: Tue, 1 Jul 2003 10:52:37 +0200
                Message-ID: <5678.21-Nov-1997@example.com>

                Hi everyone.
                """.replace("\n", "\r\n"));
        assertThat(addresses(message, Role.TO)).containsExactly("mary@x.test", "jdoe@example.org", "one@y.test");
        assertThat(addresses(message, Role.CC)).containsExactly("boss@nil.test", "sysservices@example.net");
        assertThat(message.in(Role.CC).get(1).name()).isEqualTo("Giant; \"Big\" Box");
        assertThat(message.recipients()).hasSize(5);
    }

    /** RFC 5322 Appendix A.2: the reply to the reply. */
    @Test
    void aReplyNamesWhatItAnswers() {
        ReadMessage message = Mails.read("""
                To: "Mary Smith: Personal Account" <smith@home.example>
                From: John Doe <jdoe@machine.example>
                Subject: Re: Saying Hello
                Date: Fri, 21 Nov 1997 11:00:00 -0600
                Message-ID: <abcd.1234@local.machine.test>
                In-Reply-To: <3456@example.net>
                References: <1234@local.machine.example> <3456@example.net>

                This is a reply to your reply.
                """.replace("\n", "\r\n"));
        assertThat(message.references())
                .containsExactlyInAnyOrder("<1234@local.machine.example>", "<3456@example.net>");
        assertThat(message.in(Role.TO).get(0).name()).isEqualTo("Mary Smith: Personal Account");
    }

    /** RFC 5322 Appendix A.3 and A.4: resent and trace fields do not change who wrote to whom. */
    @Test
    void aResentMessageWithTraceFieldsStaysItsWriters() {
        ReadMessage message = Mails.read("""
                Received: from node.example by x.y.test; 21 Nov 1997 10:01:22 -0600
                Resent-From: Mary Smith <mary@example.net>
                Resent-To: Jane Brown <j-brown@other.example>
                Resent-Date: Mon, 24 Nov 1997 14:22:01 -0800
                Resent-Message-ID: <78910@example.net>
                From: John Doe <jdoe@machine.example>
                To: Mary Smith <mary@example.net>
                Subject: Saying Hello
                Date: Fri, 21 Nov 1997 09:55:06 -0600
                Message-ID: <1234@local.machine.example>

                This is a message just to say hello.
                """.replace("\n", "\r\n"));
        assertThat(addresses(message, Role.FROM)).containsExactly("jdoe@machine.example");
        assertThat(addresses(message, Role.RESENT_TO)).containsExactly("j-brown@other.example");
        assertThat(message.messageId()).contains("<1234@local.machine.example>");
        assertThat(message.fields()).extracting(HeaderField::name).startsWith("Received", "Resent-From", "Resent-To");
    }

    /** RFC 5322 Appendix A.5: white space, comments and other oddities. */
    @Test
    void commentsAndFoldingAnywhereAreNoPartOfAnAddress() {
        ReadMessage message = Mails.read(("From: Pete(A nice \\) chap) <pete(his account)@silly.test(his host)>\n"
                        + "To:A Group(Some people)\n     :Chris Jones <c@(Chris's host.)public.example>,\n"
                        + "         joe@example.org,\n  John <jdoe@one.test> (my dear friend); (the end of the group)\n"
                        + "Cc:(Empty list)(start)Hidden recipients  :(nobody(that I know))  ;\n"
                        + "Date: Thu,\n      13\n        Feb\n          1969\n      23:32\n               -0330 (Newfoundland Time)\n"
                        + "Message-ID:              <testabcd.1234@silly.test>\n\nTesting.\n")
                .replace("\n", "\r\n"));
        assertThat(addresses(message, Role.FROM)).containsExactly("pete@silly.test");
        assertThat(addresses(message, Role.TO)).containsExactly("c@public.example", "joe@example.org", "jdoe@one.test");
        assertThat(message.in(Role.CC)).isEmpty();
        assertThat(message.messageId()).contains("<testabcd.1234@silly.test>");
    }

    /** RFC 2231 §3 and §4: long and non-ASCII file names. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "filename*0=\"two\"; filename*1=\" parts.txt\" | two parts.txt",
                "filename*=us-ascii'en-us'This%20is%20%2A%2A%2Afun%2A%2A%2A | This is ***fun***",
                "filename*=utf-8''F%C3%BChrung.pdf | Führung.pdf",
                "filename=\"=?utf-8?Q?F=C3=BChrung.pdf?=\" | Führung.pdf"
            })
    void fileNamesAreReadHoweverTheyAreWritten(String parameters, String name) {
        ReadMessage message = Mails.read(
                "Content-Type: application/pdf\r\nContent-Disposition: attachment; " + parameters + "\r\n\r\nx");
        assertThat(message.attachments()).extracting(Attachment::name).containsExactly(name);
    }

    /** RFC 8098 §9, shortened: a receipt. RFC 3464 Appendix E.1 has the same outer form for a bounce. */
    @ParameterizedTest
    @CsvSource({"disposition-notification", "delivery-status"})
    void aReportIsKnownAsABounceOrReceipt(String type) {
        ReadMessage message =
                Mails.read("From: Joe Recipient <Joe_Recipient@example.com>\r\nSubject: Disposition notification\r\n"
                        + "Content-Type: multipart/report; report-type=" + type
                        + ";\r\n boundary=\"RAA14128.773615765/example.com\"\r\n\r\n"
                        + "--RAA14128.773615765/example.com\r\n\r\nThe message has been displayed.\r\n--RAA14128.773615765/example.com\r\n"
                        + "Content-Type: message/" + type
                        + "\r\n\r\nFinal-Recipient: rfc822;Joe_Recipient@example.com\r\n"
                        + "--RAA14128.773615765/example.com--\r\n");
        assertThat(message.sentBy()).contains(SentBy.BOUNCE);
        assertThat(message.texts().get(0)).contains("has been displayed");
    }

    /** RFC 2369 §3 and RFC 2919 §3: examples of list fields. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "List-Help: <mailto:list@host.com?subject=help> (List Instructions)",
                "List-Unsubscribe: <mailto:list@host.com?subject=unsubscribe>",
                "List-Post: NO (posting not allowed on this list)",
                "List-Id: Lena's Personal Joke List <lenas-jokes.da39efc25c530ad145d41b86f7420c3b.021999.localhost>"
            })
    void aListFieldMakesItListMail(String field) {
        assertThat(Mails.read(Mails.from("a@host.com", "s", "t", field)).sentBy())
                .contains(SentBy.LIST);
    }

    private interface Visit {
        void message(String name, byte[] bytes);
    }

    /** The 80 messages of apache-mime4j-core 0.8.14, tests jar (Apache-2.0, Artistic). */
    private static int hardMessages(Visit visit) throws IOException {
        URI jar = URI.create(
                StandardsTest.class.getResource("/testmsgs").toString().split("!")[0]);
        int count = 0;
        try (FileSystem files = FileSystems.newFileSystem(jar, Map.of())) {
            List<Path> all = new ArrayList<>();
            for (String folder : List.of("/testmsgs", "/mimetools-testmsgs")) {
                try (var entries = Files.list(files.getPath(folder))) {
                    entries.filter(p -> p.toString().endsWith(".msg")).forEach(all::add);
                }
            }
            for (Path path : all) {
                try (InputStream in = Files.newInputStream(path)) {
                    visit.message(path.getFileName().toString(), in.readAllBytes());
                    count++;
                }
            }
        }
        return count;
    }

    @Test
    void everyHardMessageIsReadToItsEnd() throws IOException {
        int read = hardMessages((name, bytes) -> {
            ReadMessage message = Mails.read(bytes);
            assertThat(message.size()).as(name).isEqualTo(bytes.length);
            assertThat(message.notes()).as(name).noneMatch(note -> note.is(ReadingNote.READ_IN_PART));
        });
        assertThat(read).isEqualTo(80);
    }

    /** Angus Mail as a second reader: the same sender wherever it finds exactly one. */
    @Test
    void ofHardMessagesTheSenderIsTheOneASecondReaderFinds() throws IOException {
        List<String> compared = new ArrayList<>();
        hardMessages((name, bytes) -> {
            List<String> second = second(bytes);
            if (second.size() == 1 && second.get(0).contains("@")) {
                assertThat(addresses(Mails.read(bytes), Role.FROM))
                        .as(name)
                        .extracting(String::toLowerCase)
                        .containsExactlyElementsOf(second);
                compared.add(name);
            }
        });
        assertThat(compared).hasSizeGreaterThan(30);
    }

    private static List<String> second(byte[] bytes) {
        try {
            MimeMessage message =
                    new MimeMessage(Session.getInstance(new Properties()), new ByteArrayInputStream(bytes));
            List<String> found = new ArrayList<>();
            for (var address : message.getFrom() == null ? new jakarta.mail.Address[0] : message.getFrom()) {
                found.add(((jakarta.mail.internet.InternetAddress) address)
                        .getAddress()
                        .toLowerCase(java.util.Locale.ROOT));
            }
            return found;
        } catch (jakarta.mail.MessagingException unreadable) {
            return List.of();
        }
    }
}
