package app.jubek.core.outgoing;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.address.MailAddress;
import jakarta.mail.MessagingException;
import jakarta.mail.Session;
import jakarta.mail.internet.MimeMessage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.time.ZonedDateTime;
import java.util.List;
import java.util.Optional;
import java.util.Properties;
import org.junit.jupiter.api.Test;

/** A request says who asks, what would come and how to answer; read by another parser than ours. */
class AgreementRequestTest {
    private static final ZonedDateTime NOW = ZonedDateTime.parse("2026-11-26T09:00:00+01:00");

    private static MimeMessage sent(Optional<String> page, AgreementRequest.Why why) throws MessagingException {
        AgreementRequest request = new AgreementRequest(
                MailAddress.of("visits@ostrel-gardens.example").named("Visits desk"),
                MailAddress.of("mara@postbox.example"),
                "Ilse Varga",
                List.of(),
                page,
                "ABCD-EFGH",
                NOW.plusDays(7),
                why);
        byte[] bytes = request.bytes("<agreement-1@ostrel-gardens.example>", NOW);
        return new MimeMessage(Session.getInstance(new Properties()), new ByteArrayInputStream(bytes));
    }

    private static String text(MimeMessage message) throws MessagingException, IOException {
        return message.getContent().toString();
    }

    /** RFC 3834 §5: so that no other machine answers it. */
    @Test
    void itIsMarkedAsMadeByAMachineAndComesFromTheMailbox() throws MessagingException {
        MimeMessage sent = sent(Optional.empty(), AgreementRequest.Why.FIRST);
        assertThat(sent.getHeader("Auto-Submitted")).containsExactly("auto-generated");
        assertThat(sent.getFrom()[0].toString()).contains("visits@ostrel-gardens.example");
        assertThat(sent.getMessageID()).isEqualTo("<agreement-1@ostrel-gardens.example>");
    }

    @Test
    void withAPageItLinksThereAndTheCodeIsTheSecondWay() throws MessagingException, IOException {
        assertThat(text(sent(Optional.of("https://jubek.example/agree/secret"), AgreementRequest.Why.FIRST)))
                .contains("https://jubek.example/agree/secret")
                .contains("until Thursday, 3 December 2026")
                .contains("If the page does not open, answer with the one word AGREE or DECLINE")
                .contains("Ilse Varga this code to agree: ABCD-EFGH");
    }

    @Test
    void withoutAPageAnAnswerOrTheCodeAgrees() throws MessagingException, IOException {
        assertThat(text(sent(Optional.empty(), AgreementRequest.Why.FIRST)))
                .contains("To agree, answer with the one word AGREE, or tell Ilse Varga this code: ABCD-EFGH")
                .contains("Nothing comes before you agree.")
                .doesNotContain("http");
    }

    @Test
    void whoAgreedBeforeIsToldThatItEndsSoon() throws MessagingException, IOException {
        assertThat(text(sent(Optional.empty(), AgreementRequest.Why.AGAIN)))
                .contains("You agreed to it, and that ends soon.", "it ends by itself");
    }

    /** Whoever opened the page need not be the one who agreed. */
    @Test
    void aStopIsConfirmedByTheAddressItself() throws MessagingException, IOException {
        MimeMessage sent = sent(Optional.of("https://x.example/agree/t"), AgreementRequest.Why.STOP);
        assertThat(sent.getSubject()).isEqualTo("Stop it? Mail from Visits desk to you");
        assertThat(text(sent))
                .contains("asked to stop such mail", "https://x.example/agree/t", "it goes on as before")
                .doesNotContain("ABCD-EFGH");
    }

    @Test
    void aColleagueIsToldWhatComesAndHowToObject() throws MessagingException, IOException {
        MimeMessage told = sent(Optional.of("https://jubek.example/agree/secret"), AgreementRequest.Why.TOLD);
        assertThat(told.getSubject()).isEqualTo("For your information: mail from Visits desk to you");
        assertThat(text(told))
                .contains("If you do not want it, open this page and press a button there:")
                .contains("https://jubek.example/agree/secret")
                .doesNotContain("code", "agree until");
        assertThat(text(sent(Optional.empty(), AgreementRequest.Why.TOLD)))
                .contains("If you do not want it, answer with the one word STOP.");
    }
}
