package app.jubek.core.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.Mails;
import app.jubek.core.address.MailAddress;
import app.jubek.core.message.ReadMessage;
import java.nio.charset.StandardCharsets;
import java.time.ZoneOffset;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The three ways of answering; those of the automatic replier with their section of RFC 3834. */
class CorrespondentTest {
    private static final MailAddress SELF = MailAddress.of("desk@parish-paper.example");

    private static Optional<Posted> answer(Correspondent correspondent, String got, String... before) {
        return correspondent.answer(
                Mails.read(got), SELF, Set.of(before), "<one@parish-paper.example>", Mails.NOW.atZone(ZoneOffset.UTC));
    }

    private static String letter(String... fields) {
        return Mails.from("anna@school.example", "A school visit", "On 3 May?", fields);
    }

    @ParameterizedTest
    @CsvSource({
        "§2 and §5, Auto-Submitted: auto-generated",
        "§2 and §5, Auto-Submitted: auto-replied",
        "§2, Precedence: bulk",
        "§2, List-Id: <members.friends.example>"
    })
    void whatAProgramSentIsNotAnsweredByOneThatKeepsToTheStandard(String section, String field) {
        assertThat(answer(Correspondent.AUTOMATIC_REPLIER, letter(field)))
                .as(section)
                .isEmpty();
        assertThat(answer(Correspondent.ANSWERS_EVERYTHING, letter(field))).isPresent();
    }

    @Test
    void itsAnswerGoesToTheReturnPathWithANullPathAndIsMarked() {
        Posted posted = answer(Correspondent.AUTOMATIC_REPLIER, letter("Reply-To: office@school.example"))
                .orElseThrow();
        ReadMessage answer = Mails.read(posted.bytes());

        assertThat(posted.to()).as("§4").containsExactly(MailAddress.of("anna@school.example"));
        assertThat(posted.envelopeSender()).as("§3.3").isEmpty();
        assertThat(answer.values("Auto-Submitted")).as("§3.1.7").containsExactly("auto-replied");
        assertThat(answer.values("In-Reply-To")).as("§3.1.6").containsExactly("<one@school.example>");
        assertThat(answer.subject()).as("§3.1.5").isEqualTo("Auto: A school visit");
    }

    @Test
    void eachSenderIsAnsweredOnceButByOneThatAnswersEverything() {
        for (Correspondent correspondent : Correspondent.values()) {
            assertThat(answer(correspondent, letter(), "anna@school.example").isPresent())
                    .as(correspondent.toString())
                    .isEqualTo(correspondent == Correspondent.ANSWERS_EVERYTHING);
        }
    }

    @Test
    void peopleDoNotAnswerAnAutomaticReply() {
        assertThat(answer(Correspondent.PERSON, letter("Auto-Submitted: auto-replied")))
                .isEmpty();
        assertThat(answer(Correspondent.PERSON, letter("Auto-Submitted: auto-generated")))
                .isPresent();
    }

    @Test
    void anAnswerAnewSaysNothingOfWhatItAnswersAndHasItsWords() {
        Posted posted = answer(Correspondent.ANSWERS_EVERYTHING, letter("Reply-To: office@school.example"))
                .orElseThrow();
        ReadMessage answer = Mails.read(posted.bytes());

        assertThat(posted.to()).containsExactly(MailAddress.of("office@school.example"));
        assertThat(answer.references()).isEmpty();
        assertThat(answer.has("Auto-Submitted")).isFalse();
        assertThat(answer.subject()).isEqualTo("A school visit");
        assertThat(new String(posted.bytes(), StandardCharsets.UTF_8)).contains("On 3 May?");
    }
}
