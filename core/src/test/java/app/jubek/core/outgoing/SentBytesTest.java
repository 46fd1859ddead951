package app.jubek.core.outgoing;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.Mails;
import app.jubek.core.address.MailAddress;
import app.jubek.core.arrival.Arrival;
import app.jubek.core.message.ByteSource;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.reading.TraceFields;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SentBytesTest {
    private static String withoutReturnPath(String mail) {
        byte[] bytes = mail.replace("~", "\r\n").getBytes(StandardCharsets.UTF_8);
        return new String(kept(bytes), StandardCharsets.UTF_8).replace("\r\n", "~");
    }

    private static byte[] kept(byte[] bytes) {
        try (InputStream in = TraceFields.withoutReturnPath(ByteSource.of(bytes))) {
            return in.readAllBytes();
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
    }

    /** RFC 5321 §4.4: Return-Path is the final server's; a message that travels on has none. Here "~" is a line end. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Return-Path: <a@x>~From: b~~body | From: b~~body",
                "return-path: <a@x>~\tfolded~From: b~~body | From: b~~body",
                "From: b~Return-Path: <forged>~To: c~~Return-Path: in the body | From: b~To: c~~Return-Path: in the body",
                "From: b~~body | From: b~~body",
                "~just a body | ~just a body",
                "Return-Path: <only> | ''"
            })
    void returnPathsOfTheHeaderGoAndNothingElse(String mail, String rest) {
        assertThat(withoutReturnPath(mail)).isEqualTo(rest);
    }

    @Test
    void whateverIsInAMessageItsBytesBelowTheHeaderStay() {
        Random random = new Random(4);
        for (int round = 0; round < 300; round++) {
            byte[] body = new byte[random.nextInt(400)];
            random.nextBytes(body);
            byte[] head = "Received: x\r\nReturn-Path: <a@x>\r\nSubject: s\r\n\r\n".getBytes(StandardCharsets.US_ASCII);
            byte[] mail = new byte[head.length + body.length];
            System.arraycopy(head, 0, mail, 0, head.length);
            System.arraycopy(body, 0, mail, head.length, body.length);
            byte[] kept = kept(mail);
            assertThat(kept)
                    .hasSize(mail.length - "Return-Path: <a@x>\r\n".length())
                    .endsWith(body);
        }
    }

    /** RFC 2047 §5 and RFC 5322 §2.2.3: ASCII, lines of at most 78 where they can be folded. */
    @Test
    void aHeaderIsAsciiFoldedAndOneFieldForEachThatWasAsked() {
        byte[] bytes = new HeaderBlock()
                .with("From", MailAddress.of("desk@ostrel-gardens.example").named("Führungen, \"Besuche\""))
                .withText("Subject", "Fwd: " + "Führung durch das Tropenhaus ".repeat(6))
                .bytes();
        String block = new String(bytes, StandardCharsets.UTF_8);
        assertThat(block.chars().allMatch(c -> c < 0x80)).isTrue();
        assertThat(block.lines()).allMatch(line -> line.length() <= 78);
        assertThat(block.lines().filter(line -> !line.startsWith(" "))).hasSize(2);
        assertThat(Mails.read(block + "\r\n").subject()).startsWith("Fwd: Führung durch das Tropenhaus Führung");
    }

    @Test
    void nothingIsLeftThatCouldBeginAnotherFieldOrHideInOne() {
        assertThat(HeaderBlock.clean("a\r\nb")).isEqualTo("a b");
        assertThat(HeaderBlock.clean("a\u2028b")).isEqualTo("a b");
        assertThat(HeaderBlock.clean("\u202Eabc\u202C")).isEqualTo("abc");
        assertThat(HeaderBlock.clean("a\u061Cb")).isEqualTo("a b");
        assertThat(HeaderBlock.clean("a\0b")).isEqualTo("a b");
        assertThat(HeaderBlock.clean("Führung")).isEqualTo("Führung");
    }

    @Test
    void plainTextGoesAsItIsWhileItIsAsciiWithShortLinesElseEncoded() {
        assertThat(written("one\ntwo"))
                .isEqualTo("Content-Type: text/plain; charset=us-ascii\r\n"
                        + "Content-Transfer-Encoding: 7bit\r\n\r\none\r\ntwo\r\n");
        assertThat(written("ü")).contains("charset=utf-8", "base64");
        assertThat(written("x".repeat(1_000))).contains("base64");
        assertThat(written("a\0b")).contains("base64");
    }

    private static String written(String text) {
        return new String(MimePart.plain(text).bytes(), StandardCharsets.UTF_8);
    }

    /** RFC 5322 §3.6.4; a long thread keeps its first and its latest messages. */
    @Test
    void referencesOfALongThreadStayFinite() {
        String ids =
                IntStream.range(0, 60).mapToObj(i -> "<m" + i + "@x.example>").collect(Collectors.joining(" "));
        var references =
                ReplyMessage.references(Mails.read("References: " + ids + "\r\nMessage-ID: <last@x.example>\r\n\r\n"));
        assertThat(references).hasSize(20).startsWith("<m0@x.example>").endsWith("<m59@x.example>", "<last@x.example>");
    }

    private static ReadMessage told(String results, String... fields) {
        List<String> all = new ArrayList<>(List.of("Authentication-Results: mx.ostrel-gardens.example; " + results));
        all.addAll(List.of(fields));
        return Mails.read(Mails.from("anna@school.example", "s", "t", all.toArray(String[]::new)));
    }

    /** RFC 8601 App. B for the form of the field; RFC 6376 §5.4 for fields that a signature keeps away. */
    @Test
    void aRedirectArrivesWhereASignatureStillVouchesForTheWriter() {
        Arrival arrival = Arrival.of(
                List.of(
                        told(
                                "spf=pass smtp.mailfrom=school.example; dkim=pass (good signature) header.i=@school.example"),
                        told("dkim=pass header.d=school.example", "DKIM-Signature: v=1; h=from:to:resent-from; b=x"),
                        told("dkim = pass header.d=school.example", "DKIM-Signature: v=1; h=from:to:subject; b=x"),
                        told("spf=pass; dkim=none"),
                        told("none"),
                        Mails.read(Mails.from("anna@school.example", "s", "t"))),
                Mails.VISITS);
        assertThat(arrival).isEqualTo(new Arrival(2, 1, 2, 1));
        assertThat(Mails.words(arrival.advice())).startsWith("3 of 6 may be refused");
    }
}
