package app.jubek.core.outgoing;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.Mails;
import app.jubek.core.address.MailAddress;
import app.jubek.core.message.Octets;
import app.jubek.core.message.TraceFields;
import app.jubek.core.plan.PlannedStep;
import app.jubek.core.rule.RuleId;
import app.jubek.core.safety.HopMark;
import app.jubek.core.step.Step;
import jakarta.mail.Part;
import jakarta.mail.Session;
import jakarta.mail.internet.MimeMessage;
import jakarta.mail.internet.MimeMultipart;
import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.List;
import java.util.Properties;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What leaves, read again by an independent parser (Angus Mail). */
class ComposerTest {
    private static final MailAddress EDUCATION = MailAddress.of("education@ostrel-gardens.example");
    private final Composer composer = new Composer(Mails.VISITS, Mails.HOPS, ZoneId.of("Europe/Stockholm"));

    private Composed compose(Step step, String raw) {
        byte[] octets = raw.getBytes(StandardCharsets.UTF_8);
        Composer.Original original = new Composer.Original(
                Mails.read(octets), Octets.of(octets), TraceFields.digestBelow(Octets.of(octets)));
        return composer.compose(new PlannedStep(new RuleId("r"), 1, "r", 0, step), original, Mails.NOW);
    }

    private static MimeMessage parsed(byte[] octets) throws Exception {
        return new MimeMessage(Session.getInstance(new Properties()), new ByteArrayInputStream(octets));
    }

    /** RFC 5322 §3.6.4 and §3.6.6; common practice: a forward carries a prefix and shows the forwarder. */
    @Test
    void aForwardIsANewMessageWithPrefixReferencesAndHopMark() throws Exception {
        Composed out = compose(
                new Step.Forward(List.of(EDUCATION), "Please see below."),
                Mails.from("anna@school.example", "Führung", "24 pupils\r\n.dot"));
        MimeMessage message = parsed(out.octets());
        assertThat(message.getSubject()).isEqualTo("Fwd: Führung");
        assertThat(message.getFrom()[0].toString()).contains("visits@ostrel-gardens.example");
        assertThat(message.getHeader("References")).containsExactly("<one@school.example>");
        assertThat(message.getHeader("Auto-Submitted")).containsExactly("auto-generated");
        assertThat(message.getHeader(HopMark.FIELD)).hasSize(1);
        assertThat(message.getMessageID()).isEqualTo(out.messageId());
        assertThat(message.getContent().toString())
                .containsSubsequence("Please see below.", "From: Anna <anna@school.example>", "24 pupils", ".dot");
        assertThat(message.getSentDate().toInstant()).isEqualTo(Mails.NOW);
    }

    @Test
    void attachmentsGoAlongBitForBit() throws Exception {
        byte[] file = new byte[5_000];
        new java.util.Random(1).nextBytes(file);
        String raw = Mails.from("a@school.example", "s", "", "Content-Type: multipart/mixed; boundary=b")
                        .stripTrailing()
                + "\r\n\r\n--b\r\nContent-Type: text/plain\r\n\r\nhello\r\n--b\r\nContent-Type: image/png\r\n"
                + "Content-Disposition: attachment; filename=\"leaf.png\"\r\nContent-Transfer-Encoding: base64\r\n\r\n"
                + java.util.Base64.getMimeEncoder().encodeToString(file) + "\r\n--b--\r\n";
        MimeMultipart parts = (MimeMultipart) parsed(
                        compose(new Step.Forward(List.of(EDUCATION), ""), raw).octets())
                .getContent();
        assertThat(parts.getCount()).isEqualTo(2);
        Part attached = parts.getBodyPart(1);
        assertThat(attached.getFileName()).isEqualTo("leaf.png");
        assertThat(attached.getInputStream().readAllBytes()).isEqualTo(file);
    }

    @Test
    void whatCouldBeReadOnlyInPartIsForwardedWholeAsAnAttachedMessage() throws Exception {
        String raw = Mails.from("a@school.example", "s", "hello", "Content-Type: text/plain; charset=no-such");
        MimeMultipart parts = (MimeMultipart) parsed(compose(new Step.Forward(List.of(EDUCATION), "note"), raw)
                        .octets())
                .getContent();
        assertThat(parts.getBodyPart(1).getContentType()).startsWith("message/rfc822");
    }

    /** RFC 5322 §3.6.6: the Resent block stands in front, everything below is untouched; Return-Path goes. */
    @Test
    void aRedirectAddsOneBlockAndLeavesEveryOtherOctet() {
        String raw = Mails.from("anna@school.example", "s", "8-bit ü and a\nbare line");
        Composed out = compose(new Step.Redirect(List.of(EDUCATION)), raw);
        String block = new String(out.octets(), StandardCharsets.US_ASCII);
        assertThat(block.lines().filter(l -> !l.startsWith(" ")).map(l -> l.split(":")[0]))
                .containsExactly("Resent-From", "Resent-To", "Resent-Date", "Resent-Message-ID", HopMark.FIELD);
        assertThat(block).endsWith("\r\n").doesNotContain("\r\n\r\n");
        assertThat(TraceFields.withoutReturnPath(Octets.of(raw.getBytes(StandardCharsets.UTF_8))))
                .hasBinaryContent(raw.substring(raw.indexOf("From:")).getBytes(StandardCharsets.UTF_8));
    }

    /** RFC 5228 §4.2: mail from the null path stays so; else the mailbox answers for it. */
    @Test
    void aRedirectsEnvelopeSenderIsTheMailboxOrTheNullPath() {
        assertThat(compose(new Step.Redirect(List.of(EDUCATION)), Mails.from("a@b.example", "s", "t"))
                        .outgoing()
                        .envelopeSender())
                .contains(Mails.VISITS.identity());
        assertThat(compose(new Step.Redirect(List.of(EDUCATION)), "Return-Path: <>\r\nFrom: a@b.example\r\n\r\n")
                        .outgoing()
                        .envelopeSender())
                .isEmpty();
    }

    /** RFC 3834 §3.1.1 to §3.1.8 and §4. */
    @Test
    void aReplyGoesToTheReturnPathThreadedMarkedAndFromTheNullPath() throws Exception {
        String raw = Mails.from("anna@school.example", "Visit?", "hi", "References: <zero@school.example>");
        Composed out = compose(new Step.Reply("", "Danke schön,\n.the desk", Duration.ofDays(7)), raw);
        MimeMessage message = parsed(out.octets());
        assertThat(out.outgoing().recipient().address()).isEqualTo("anna@school.example");
        assertThat(out.outgoing().envelopeSender()).isEmpty();
        assertThat(message.getSubject()).isEqualTo("Auto: Visit?");
        assertThat(message.getHeader("In-Reply-To")).containsExactly("<one@school.example>");
        assertThat(message.getHeader("References")).containsExactly("<zero@school.example> <one@school.example>");
        assertThat(message.getHeader("Auto-Submitted")).containsExactly("auto-replied");
        assertThat(message.getContent().toString()).isEqualTo("Danke schön,\r\n.the desk\r\n");
    }

    @Test
    void theMessageIdFollowsFromMessageRuleVersionStepAndRecipient() {
        String raw = Mails.from("a@b.example", "s", "t");
        String id = compose(new Step.Redirect(List.of(EDUCATION)), raw).messageId();
        assertThat(id).matches("<[0-9a-f]{32}@ostrel-gardens\\.example>");
        assertThat(compose(
                                new Step.Redirect(List.of(EDUCATION)),
                                "Received: again\r\n" + raw.substring(raw.indexOf("From")))
                        .messageId())
                .isEqualTo(id);
        assertThat(compose(new Step.Redirect(List.of(MailAddress.of("duty@ostrel-gardens.example"))), raw)
                        .messageId())
                .isNotEqualTo(id);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "x\r\nBcc: evil@x.example",
                "x\u2028Bcc: evil@x.example",
                "\u202Egnp.exe",
                "\0nul",
                "=?utf-8?Q?x=0D=0ABcc:_evil@x.example?="
            })
    void aHostileSubjectAddsNoFieldAndNoRecipient(String subject) throws Exception {
        MimeMessage message =
                parsed(compose(new Step.Forward(List.of(EDUCATION), ""), Mails.from("a@b.example", subject, "t"))
                        .octets());
        assertThat(message.getHeader("Bcc")).isNull();
        assertThat(Arrays.toString(message.getAllRecipients())).isEqualTo("[education@ostrel-gardens.example]");
        assertThat(message.getSubject().chars().noneMatch(c -> c < ' ' || c == 0x202E))
                .isTrue();
    }
}
