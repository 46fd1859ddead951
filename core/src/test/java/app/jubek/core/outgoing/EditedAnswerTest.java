package app.jubek.core.outgoing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.jubek.core.Mails;
import app.jubek.core.address.MailAddress;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.template.Document;
import app.jubek.core.template.DocumentId;
import app.jubek.core.template.Letter;
import jakarta.mail.Session;
import jakarta.mail.internet.MimeMessage;
import jakarta.mail.internet.MimeMultipart;
import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.Properties;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Read again by an independent parser (Angus Mail). */
class EditedAnswerTest {
    private static final byte[] FORM = "not really a form ü".getBytes(StandardCharsets.UTF_8);
    private static final ReadMessage ANSWERED = Mails.read(
            Mails.from("lucie@postbox.example", "Wedding pictures", "May we?").getBytes(StandardCharsets.UTF_8));
    private static final Stamp STAMP = new Stamp(
            Mails.VISITS.identity(),
            MailAddress.of("lucie@postbox.example"),
            "<ours@ostrel-gardens.example>",
            Mails.NOW.atZone(ZoneOffset.UTC));
    private static final Letter LETTER = new Letter(
            "Auto: Wedding pictures",
            "Dear Lucie",
            "<p>Dear Lucie</p>",
            Optional.of(document("logo.png", "image/png")),
            List.of(document("Erlaubnis für Bilder.pdf", "application/pdf")));
    private static final EditedAnswer EDITED = new EditedAnswer("Your pictures – gladly", "Dear Lucie,\n.with joy");

    private static Document document(String name, String type) {
        return new Document(new DocumentId(name), name, type, FORM.length, LocalDate.EPOCH, Optional.empty());
    }

    private static MimeMessage parsed(byte[] bytes) throws Exception {
        return new MimeMessage(Session.getInstance(new Properties()), new ByteArrayInputStream(bytes));
    }

    /** RFC 3834 §5: Auto-Submitted is of answers that nobody looked at. RFC 5322 §3.6.4: it stays in its thread. */
    @Test
    void itIsAPersonsMessageInTheSameThreadWithTheSameDocuments() throws Exception {
        MimeMessage frozen = parsed(ReplyMessage.bytes(STAMP, LETTER, ANSWERED, id -> FORM));
        MimeMessage edited = parsed(EDITED.in(ReplyMessage.bytes(STAMP, LETTER, ANSWERED, id -> FORM)));
        assertThat(frozen.getHeader("Auto-Submitted")).containsExactly("auto-replied");
        assertThat(edited.getHeader("Auto-Submitted")).isNull();
        assertThat(edited.getSubject()).isEqualTo("Your pictures – gladly");
        for (String same : List.of("From", "To", "Date", "Message-ID", "In-Reply-To", "References", "MIME-Version")) {
            assertThat(edited.getHeader(same)).as(same).isEqualTo(frozen.getHeader(same));
        }
        MimeMultipart parts = (MimeMultipart) edited.getContent();
        assertThat(parts.getCount()).isEqualTo(2);
        assertThat(parts.getBodyPart(0).getContent().toString()).isEqualTo("Dear Lucie,\r\n.with joy\r\n");
        assertThat(parts.getBodyPart(1).getInputStream().readAllBytes()).isEqualTo(FORM);
        assertThat(((MimeMultipart) frozen.getContent())
                        .getBodyPart(1)
                        .getInputStream()
                        .readAllBytes())
                .isEqualTo(FORM);
    }

    @Test
    void aCopyOfItSaysTheSameAndStaysAMachines() throws Exception {
        MimeMessage copy = parsed(EDITED.inCopy(ReplyMessage.copy(STAMP, LETTER, ANSWERED, id -> FORM)));
        assertThat(copy.getSubject()).isEqualTo("Copy: Your pictures – gladly");
        assertThat(copy.getHeader("Auto-Submitted")).containsExactly("auto-generated");
    }

    @ParameterizedTest
    @ValueSource(strings = {"", " ", "two\nlines", "x\r\nBcc: all@elsewhere.example"})
    void aSubjectIsOneLine(String subject) {
        assertThatThrownBy(() -> new EditedAnswer(subject, "text")).hasMessageContaining("one line");
    }
}
