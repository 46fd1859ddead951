package app.jubek.core.outgoing;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.Mails;
import app.jubek.core.address.MailAddress;
import app.jubek.core.criteria.Everything;
import app.jubek.core.criteria.Nothing;
import app.jubek.core.decide.CompiledBook;
import app.jubek.core.decide.Decision;
import app.jubek.core.decide.Engine;
import app.jubek.core.message.ByteSource;
import app.jubek.core.people.AddressBook;
import app.jubek.core.reading.TraceFields;
import app.jubek.core.rule.Ending;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.rule.RuleId;
import app.jubek.core.safety.HopMark;
import app.jubek.core.safety.Outgoing;
import app.jubek.core.step.AnswersTo;
import app.jubek.core.step.ForwardOptions;
import app.jubek.core.step.Release;
import app.jubek.core.step.ReplyFrequency;
import app.jubek.core.step.ReplyOptions;
import app.jubek.core.step.Step;
import app.jubek.core.template.Document;
import app.jubek.core.template.DocumentId;
import app.jubek.core.template.Prepared;
import app.jubek.core.template.Signature;
import app.jubek.core.template.Template;
import app.jubek.core.template.TemplateId;
import app.jubek.core.view.AsReceived;
import jakarta.mail.Part;
import jakarta.mail.Session;
import jakarta.mail.internet.ContentDisposition;
import jakarta.mail.internet.MimeMessage;
import jakarta.mail.internet.MimeMultipart;
import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Properties;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What leaves, read again by an independent parser (Angus Mail). */
class ComposerTest {
    private static final MailAddress EDUCATION = MailAddress.of("education@ostrel-gardens.example");
    private static final byte[] PLAN = "not really a PDF ü".repeat(20).getBytes(StandardCharsets.UTF_8);
    private static final Document DOCUMENT = new Document(
            new DocumentId("plan"),
            "Lageplan für Gäste.pdf",
            "application/pdf",
            PLAN.length,
            LocalDate.EPOCH,
            Optional.empty());
    private static final Document LOGO = new Document(
            new DocumentId("logo"), "logo.png", "image/png", PLAN.length, LocalDate.EPOCH, Optional.empty());
    private static final Template VISITS = new Template(
            new TemplateId("visits"),
            1,
            "Visits",
            Locale.UK,
            "Your visit: {{subject}}",
            "Dear {{sender.name}}",
            "<p>Dear <b>{{sender.name}}</b></p>",
            new Signature("The visits desk", Optional.of(LOGO.id())),
            List.of(DOCUMENT.id()),
            Map.of());
    private static final Prepared PREPARED =
            new Prepared(Map.of(VISITS.id(), VISITS), Map.of(DOCUMENT.id(), DOCUMENT, LOGO.id(), LOGO));
    private final Composer composer =
            new Composer(Mails.VISITS, Mails.HOPS, ZoneId.of("Europe/Stockholm"), document -> PLAN, Optional.empty());

    private Composed compose(Step step, String raw) {
        return composeAll(step, raw).get(0);
    }

    /** As the engine plans it, of a rule that takes everything. */
    private List<Composed> composeAll(Step step, String raw) {
        byte[] bytes = raw.getBytes(StandardCharsets.UTF_8);
        Composer.Original original = new Composer.Original(
                Mails.read(bytes), ByteSource.of(bytes), TraceFields.digestBelow(ByteSource.of(bytes)));
        Rule rule = new Rule(
                new RuleId("r"), 1, "r", new Everything(), new Nothing(), List.of(step), Ending.CONTINUE, true);
        Decision decision = Engine.decide(
                CompiledBook.of(RuleBook.of(List.of(rule))),
                original.message(),
                Mails.context(PREPARED, AddressBook.empty()));
        return decision.planned().stream()
                .map(planned -> composer.compose(planned, original, Mails.NOW))
                .toList();
    }

    private static MimeMessage parsed(byte[] bytes) throws Exception {
        return new MimeMessage(Session.getInstance(new Properties()), new ByteArrayInputStream(bytes));
    }

    /** RFC 5322 §3.6.4 and §3.6.6; common practice: a forward carries a prefix and shows the forwarder. */
    @Test
    void aForwardIsANewMessageWithPrefixReferencesAndHopMark() throws Exception {
        Composed out = compose(
                new Step.Forward(List.of(EDUCATION), "Please see below."),
                Mails.from("anna@school.example", "Führung", "24 pupils\r\n.dot"));
        MimeMessage message = parsed(out.bytes());
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
                        compose(new Step.Forward(List.of(EDUCATION), ""), raw).bytes())
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
                        .bytes())
                .getContent();
        assertThat(parts.getBodyPart(1).getContentType()).startsWith("message/rfc822");
    }

    /** RFC 5322 §3.6.6: the Resent block stands in front, everything below is untouched; Return-Path goes. */
    @Test
    void aRedirectAddsOneBlockAndLeavesEveryOtherByte() {
        String raw = Mails.from("anna@school.example", "s", "8-bit ü and a\nbare line");
        Composed out = compose(new Step.Redirect(List.of(EDUCATION)), raw);
        String block = new String(out.bytes(), StandardCharsets.US_ASCII);
        assertThat(block.lines().filter(l -> !l.startsWith(" ")).map(l -> l.split(":")[0]))
                .containsExactly("Resent-From", "Resent-To", "Resent-Date", "Resent-Message-ID", HopMark.FIELD);
        assertThat(block).endsWith("\r\n").doesNotContain("\r\n\r\n");
        assertThat(TraceFields.withoutReturnPath(ByteSource.of(raw.getBytes(StandardCharsets.UTF_8))))
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
        MimeMessage message = parsed(out.bytes());
        assertThat(out.outgoing().recipient().address()).isEqualTo("anna@school.example");
        assertThat(out.outgoing().envelopeSender()).isEmpty();
        assertThat(message.getSubject()).isEqualTo("Auto: Visit?");
        assertThat(message.getHeader("In-Reply-To")).containsExactly("<one@school.example>");
        assertThat(message.getHeader("References")).containsExactly("<zero@school.example> <one@school.example>");
        assertThat(message.getHeader("Auto-Submitted")).containsExactly("auto-replied");
        assertThat(message.getContent().toString()).isEqualTo("Danke schön,\r\n.the desk\r\n");
    }

    /** RFC 2046 §5.1.3, §5.1.4, RFC 2387, RFC 2392: read again by an independent parser (Angus Mail). */
    @Test
    void anAnswerFromATemplateHasBothFormsItsPictureAndItsDocuments() throws Exception {
        ReplyOptions options = ReplyOptions.usual(ReplyFrequency.aDay(3));
        MimeMessage message = parsed(
                compose(new Step.Reply(VISITS.id(), options), Mails.from("anna@school.example", "24 pupils", "When?"))
                        .bytes());
        assertThat(message.getSubject()).isEqualTo("Your visit: 24 pupils");
        MimeMultipart mixed = (MimeMultipart) message.getContent();
        assertThat(mixed.getContentType()).startsWith("multipart/mixed");
        MimeMultipart alternative = (MimeMultipart) mixed.getBodyPart(0).getContent();
        assertThat(alternative.getContentType()).startsWith("multipart/alternative");
        assertThat(alternative.getBodyPart(0).getContent().toString())
                .startsWith("Dear ")
                .contains("\r\n-- \r\n");
        MimeMultipart related = (MimeMultipart) alternative.getBodyPart(1).getContent();
        assertThat(related.getContentType()).startsWith("multipart/related");
        assertThat(related.getBodyPart(0).getContent().toString()).contains("cid:signature-picture");
        assertThat(related.getBodyPart(1).getHeader("Content-ID")).containsExactly("<signature-picture>");
        assertThat(related.getBodyPart(1).getInputStream().readAllBytes()).isEqualTo(PLAN);
        Part document = mixed.getBodyPart(1);
        assertThat(document.getContentType()).isEqualTo("application/pdf");
        assertThat(new ContentDisposition(document.getHeader("Content-Disposition")[0]).getParameter("filename"))
                .isEqualTo("Lageplan für Gäste.pdf");
        assertThat(document.getInputStream().readAllBytes()).isEqualTo(PLAN);
    }

    @Test
    void anAnswerMayStandAboveTheOriginalAndAColleagueGetsACopyAsAMessageOfItsOwn() throws Exception {
        ReplyOptions options = new ReplyOptions(
                ReplyFrequency.PRESET,
                Optional.empty(),
                AnswersTo.Header.RETURN_PATH,
                true,
                List.of(EDUCATION),
                List.of(),
                Optional.of(MailAddress.of("photos@ostrel-gardens.example")),
                false,
                false,
                Release.Plain.AT_ONCE);
        List<Composed> out = composeAll(
                new Step.Reply(Optional.empty(), "", "Thank you.", options),
                Mails.from("anna@school.example", "Visit?", "When can we come?"));
        MimeMessage answer = parsed(out.get(0).bytes());
        assertThat(answer.getContent().toString())
                .isEqualTo(
                        "Thank you.\r\n\r\nAnna <anna@school.example>, 29 March 2026, 12:00:\r\n> When can we come?\r\n");
        assertThat(answer.getFrom()[0].toString()).isEqualTo("Visits desk <photos@ostrel-gardens.example>");
        MimeMessage copy = parsed(out.get(1).bytes());
        assertThat(out.get(1).outgoing())
                .isEqualTo(new Outgoing.HandedOn(EDUCATION, Optional.of(Mails.VISITS.identity())));
        assertThat(copy.getSubject()).isEqualTo("Copy: Auto: Visit?");
        assertThat(copy.getHeader("In-Reply-To")).isNull();
        assertThat(copy.getHeader("Auto-Submitted")).containsExactly("auto-generated");
        assertThat(out.get(0).messageId()).isNotEqualTo(out.get(1).messageId());
    }

    @Test
    void aForwardHasTheSubjectTheNoteAndTheWayOfAnswersThatTheRuleSays() throws Exception {
        ForwardOptions options = new ForwardOptions(
                "",
                Optional.of(VISITS.id()),
                new ForwardOptions.Heading("For you", true),
                true,
                Optional.empty(),
                ForwardOptions.AnswersGo.TO_BOTH,
                Release.Plain.AT_ONCE);
        MimeMessage message = parsed(compose(
                        new Step.Forward(List.of(EDUCATION), List.of(), options, false),
                        Mails.from("anna@school.example", "Visit?", "hi", "Reply-To: office@school.example"))
                .bytes());
        assertThat(message.getSubject()).isEqualTo("For you");
        assertThat(Arrays.toString(message.getReplyTo()))
                .isEqualTo("[office@school.example, Visits desk <visits@ostrel-gardens.example>]");
        MimeMultipart parts = (MimeMultipart) message.getContent();
        assertThat(parts.getBodyPart(0).getContentType()).startsWith("multipart/alternative");
        MimeMessage original = (MimeMessage) parts.getBodyPart(1).getContent();
        assertThat(original.getSubject()).isEqualTo("Visit?");
        assertThat(parts.getBodyPart(2).getContentType()).startsWith("application/pdf");
    }

    @Test
    void aRichOriginalIsForwardedRichWithoutWhatActsAndItsPicturesGoAlong() throws Exception {
        String raw = Mails.from("a@school.example", "s", "", "Content-Type: multipart/related; boundary=b")
                        .stripTrailing()
                + "\r\n\r\n--b\r\nContent-Type: text/html\r\n\r\n<p style='color:red'>hello<script>x</script>"
                + "<img src='cid:leaf'></p>\r\n--b\r\nContent-Type: image/png\r\nContent-ID: <leaf>\r\n\r\npng\r\n--b--\r\n";
        MimeMultipart parts = (MimeMultipart) parsed(compose(new Step.Forward(List.of(EDUCATION), "see <below>"), raw)
                        .bytes())
                .getContent();
        String html = ((MimeMultipart) parts.getBodyPart(0).getContent())
                .getBodyPart(1)
                .getContent()
                .toString();
        assertThat(html)
                .contains("see &lt;below&gt;", "From: Anna &lt;a@school.example&gt;", "color:red", "cid:leaf")
                .doesNotContain("script");
        assertThat(parts.getBodyPart(1).getHeader("Content-ID")).containsExactly("<leaf>");
    }

    @Test
    void whatTheRecipientSeesOtherwiseIsNamed() {
        String raw = Mails.from("anna@school.example", "Visit?", "hi");
        AsReceived original = AsReceived.of(Mails.read(raw));
        Composed forward = compose(new Step.Forward(List.of(EDUCATION), ""), raw);
        assertThat(AsReceived.of(Mails.read(forward.bytes())).from(original))
                .extracting(AsReceived.SeenOtherwise::what)
                .containsExactly(AsReceived.Seen.SENDER, AsReceived.Seen.SUBJECT, AsReceived.Seen.REPLIES_TO);
        Redirected redirect = new Redirected(
                ByteSource.of(
                        compose(new Step.Redirect(List.of(EDUCATION)), raw).bytes()),
                ByteSource.of(raw.getBytes(StandardCharsets.UTF_8)));
        assertThat(AsReceived.of(Mails.read(redirect.all())).from(original)).isEmpty();
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
                        .bytes());
        assertThat(message.getHeader("Bcc")).isNull();
        assertThat(Arrays.toString(message.getAllRecipients())).isEqualTo("[education@ostrel-gardens.example]");
        assertThat(message.getSubject().chars().noneMatch(c -> c < ' ' || c == 0x202E))
                .isTrue();
    }
}
