package app.jubek.core.reading;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.Mails;
import app.jubek.core.address.MailAddress;
import app.jubek.core.message.Attachment;
import app.jubek.core.message.ByteSource;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.message.ReadingNote;
import app.jubek.core.message.ReturnPath;
import app.jubek.core.message.Role;
import app.jubek.core.message.SentBy;
import java.nio.charset.StandardCharsets;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class ReadingTest {
    /** RFC 2047 §8, the table of encoded words, as a reader sees them. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "(=?ISO-8859-1?Q?a?=) | (a)",
                "(=?ISO-8859-1?Q?a?= b) | (a b)",
                "(=?ISO-8859-1?Q?a?= =?ISO-8859-1?Q?b?=) | (ab)",
                "(=?ISO-8859-1?Q?a_b?=) | (a b)",
                "(=?ISO-8859-1?Q?a?= =?ISO-8859-2?Q?_b?=) | (a b)"
            })
    void encodedWordsAreReadAsTheStandardShowsThem(String raw, String shown) {
        assertThat(Mails.read("Subject: " + raw + "\r\n\r\n").subject()).isEqualTo(shown);
    }

    /** RFC 5322 Appendix A.1.3 (group addresses) and A.6.1 (obsolete addressing). */
    @Test
    void groupsEmptyListsAndObsoleteFormsOfTheStandardAreRead() {
        ReadMessage group = Mails.read(
                "From: Pete <pete@silly.example>\r\n"
                        + "To: A Group:Ed Jones <joe@where.test>,John <jdoe@one.test>;\r\nCc: Undisclosed recipients:;\r\n\r\n");
        assertThat(group.in(Role.TO))
                .extracting(MailAddress::address)
                .containsExactly("joe@where.test", "jdoe@one.test");
        assertThat(group.in(Role.CC)).isEmpty();
        ReadMessage obsolete = Mails.read("From: Joe Q. Public <john.q.public@example.com>\r\n"
                + "To: Mary Smith <@node.test:mary@example.net>, , jdoe@test  . example\r\n\r\n");
        assertThat(obsolete.in(Role.TO))
                .extracting(MailAddress::address)
                .contains("mary@example.net", "jdoe@test.example");
    }

    /** RFC 2046 §5.1.4: of alternatives one is read, here the plain one; RFC 5173 §5: parts are matched one by one. */
    @Test
    void ofAlternativesThePlainTextIsReadAndHtmlOnlyAsItsText() {
        ReadMessage both = Mails.read(
                "Content-Type: multipart/alternative; boundary=b\r\n\r\n--b\r\nContent-Type: text/plain\r\n\r\n"
                        + "plain words\r\n--b\r\nContent-Type: text/html\r\n\r\n<p>html words</p>\r\n--b--\r\n");
        assertThat(both.texts())
                .singleElement()
                .asString()
                .contains("plain words")
                .doesNotContain("html");
        ReadMessage html = Mails.read("Content-Type: text/html\r\n\r\n<style>p{}</style><p>Two<br>lines</p>"
                + "<p style='display: none'>unseen</p><script>no()</script><div hidden>nor this</div>");
        assertThat(html.texts()).containsExactly("Two\nlines");
    }

    @Test
    void partsWithAFileNameAreAttachments() {
        ReadMessage message = Mails.read(
                "Content-Type: multipart/mixed; boundary=b\r\n\r\n--b\r\n\r\nhello\r\n--b\r\n"
                        + "Content-Type: text/plain; name=\"list.txt\"\r\nContent-Disposition: attachment; filename=\"list.txt\"\r\n\r\nabc\r\n--b--\r\n");
        assertThat(message.texts()).hasSize(1);
        assertThat(message.attachments()).containsExactly(new Attachment("list.txt", "text/plain", 3));
    }

    @Test
    void onlyTheTopmostReturnPathAboveReceivedCounts() {
        ReadMessage message =
                Mails.read("Received: by a.example\r\nReturn-Path: <forged@x.example>\r\nFrom: a@b.example\r\n\r\n");
        assertThat(message.returnPath()).isInstanceOf(ReturnPath.Absent.class);
        assertThat(Mails.read("Return-Path: <>\r\nReceived: x\r\n\r\n").returnPath())
                .isInstanceOf(ReturnPath.Null.class);
    }

    /** RFC 3834 §5: comments and parameters may stand in Auto-Submitted; "no" is a person. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "auto-generated | AUTOMATIC_NOTICE",
                "auto-replied (away (really)); x=y | AUTOMATIC_REPLY",
                "No | PERSON"
            })
    void autoSubmittedTellsWhoSentIt(String value, SentBy by) {
        assertThat(Mails.read(Mails.from("a@b.example", "s", "t", "Auto-Submitted: " + value))
                        .sentBy())
                .containsExactly(by);
    }

    @Test
    void whatAHostileSenderCanWriteIsStillRead() {
        assertThat(Mails.read("").subject()).isEmpty();
        assertThat(Mails.read("no header at all, just words\r\nand more").notes())
                .isEmpty();
        byte[] rubbish = new byte[50_000];
        new Random(3).nextBytes(rubbish);
        assertThat(Mails.read(rubbish).size()).isEqualTo(50_000);
        ReadMessage charset = Mails.read("Content-Type: text/plain; charset=no-such\r\n\r\nhello ü");
        assertThat(charset.texts().get(0)).contains("hello ü");
        assertThat(charset.notes()).contains(ReadingNote.CHARSET_UNKNOWN.with("no-such"));
        ReadMessage year = Mails.read("Date: Mon, 1 Jan 0000 00:00:00 +0000\r\nSubject: x\r\n\r\n");
        assertThat(year.date()).isEmpty();
        assertThat(year.notes()).contains(ReadingNote.NO_DATE.with());
    }

    /** RFC 6532 §3.2: names in UTF-8 as they are, of two, three and four bytes a letter. */
    @ParameterizedTest
    @ValueSource(strings = {"Jürg Öström", "山田太郎", "Mara 🌿🌿", "Rolf \u202Eflor"})
    void theAddressBehindANameInUtf8IsWhole(String name) {
        assertThat(Mails.read("From: " + name + " <mara@mailhaven.example>\r\n\r\nx")
                        .in(Role.FROM))
                .containsExactly(new MailAddress(name, "mara", "mailhaven.example"));
    }

    @Test
    void nestingPartsAndAddressesAreCutAtTheLimitsAndSaySo() {
        StringBuilder nested = new StringBuilder("Subject: deep\r\n");
        for (int i = 0; i < 1_000; i++) {
            nested.append("Content-Type: multipart/mixed; boundary=b")
                    .append(i)
                    .append("\r\n\r\n--b")
                    .append(i)
                    .append("\r\n");
        }
        assertThat(Mails.read(nested.toString()).notes()).contains(ReadingNote.NESTED_TOO_DEEP.with(50));
        String crowd = "a@b.c,".repeat(12_000);
        ReadMessage many = Mails.read("Subject: crowd\r\nTo: " + crowd + "\r\n\r\nhello");
        assertThat(many.in(Role.TO)).hasSize(10_000);
        assertThat(many.notes()).anyMatch(note -> note.is(ReadingNote.ADDRESSES_LEFT));
        assertThat(many.subject()).isEqualTo("crowd");
    }

    @Test
    void thirtyMegabytesAreReadWithinASecondOrTwoAndOnlyTheFirstOfTheTextIsKept() {
        byte[] big = ("Subject: big\r\n\r\n" + "x".repeat(70) + "\r\n").getBytes(StandardCharsets.US_ASCII);
        byte[] all = new byte[30 << 20];
        java.util.Arrays.fill(all, (byte) 'y');
        System.arraycopy(big, 0, all, 0, big.length);
        ReadMessage message = Mails.read(all);
        assertThat(message.size()).isEqualTo(30 << 20);
        assertThat(message.texts().get(0)).hasSize(1 << 20);
        assertThat(message.notes()).isNotEmpty();
    }

    @Test
    void theDigestIgnoresTraceFieldsOnly() {
        String mail = "Received: one\r\n\tfolded\r\nFrom: a@b.example\r\n\r\nbody";
        String copy = "Return-Path: <x@y.example>\r\nReceived: two\r\nDelivered-To: z\r\nFrom: a@b.example\r\n\r\nbody";
        assertThat(digest(mail)).isEqualTo(digest(copy));
        assertThat(digest(mail + "!")).isNotEqualTo(digest(mail));
    }

    private static String digest(String mail) {
        return TraceFields.digestBelow(ByteSource.of(mail.getBytes(java.nio.charset.StandardCharsets.UTF_8)));
    }
}
