package app.jubek.core.people;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.Mails;
import app.jubek.core.address.MailAddress;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A request is answered by one word of a person, and by nothing that programs send or people quote. */
class AgreementAnswerTest {
    private static final UUID REQUEST = UUID.fromString("8f2b64b2-93a5-4c0e-a7b7-0c5a2f6d1e11");
    private static final MailAddress VISITS = MailAddress.of("visits@ostrel-gardens.example");

    private static Optional<AgreementAnswer> answer(String more, String text) {
        String mail =
                "Return-Path: <mara@parish.example>\r\nFrom: Mara <mara@parish.example>\r\nSubject: Re: May we?\r\n"
                        + "In-Reply-To: " + AgreementAnswer.messageId(REQUEST, VISITS) + "\r\n" + more + "\r\n" + text;
        return AgreementAnswer.of(Mails.read(mail.getBytes(StandardCharsets.UTF_8)));
    }

    @ParameterizedTest
    @CsvSource({
        "AGREE, true",
        "'\r\n  I agree.\r\n\r\nMara', true",
        "'Agree\r\n\r\n> To agree, answer with the one word AGREE', true",
        "decline, false",
        "Stop!, false",
        "'STOP\r\n-- \r\nagree', false",
    })
    void oneWordOnTheFirstLineIsAnAnswer(String text, boolean agrees) {
        assertThat(answer("", text))
                .contains(new AgreementAnswer(
                        REQUEST, MailAddress.of("mara@parish.example").named("Mara"), agrees));
    }

    @ParameterizedTest
    @CsvSource({
        "'Do I have to agree?'",
        "'I do not agree'",
        "'> To agree, answer with the one word\r\n> AGREE'",
        "'I am away until Monday.\r\n\r\nAGREE'",
        "''",
    })
    void anythingElseIsNot(String text) {
        assertThat(answer("", text)).isEmpty();
    }

    /** RFC 3834 §5; a program may quote the request at its top. */
    @Test
    void aProgramAgreesToNothing() {
        assertThat(answer("Auto-Submitted: auto-replied\r\n", "AGREE")).isEmpty();
        assertThat(answer("Precedence: bulk\r\n", "AGREE")).isEmpty();
    }

    @Test
    void whatAnswersNoRequestIsNoAnswer() {
        String mail = "Return-Path: <m@parish.example>\r\nFrom: m@parish.example\r\n"
                + "In-Reply-To: <agreement-12@ostrel-gardens.example>\r\n\r\nAGREE";
        assertThat(AgreementAnswer.of(Mails.read(mail.getBytes(StandardCharsets.UTF_8))))
                .isEmpty();
    }
}
