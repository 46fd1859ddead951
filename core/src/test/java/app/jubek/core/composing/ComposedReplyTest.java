package app.jubek.core.composing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Collections;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A composed reply is text, and each sentence of it is borne out by what the service was told, or shown as not. */
class ComposedReplyTest {
    private static final Brief BRIEF = Brief.of(
            "Name the day that is asked for, and say that we call back on 555 0134.",
            "Visit with 24 pupils",
            "Good morning,\r\nmay we come on Thursday 14 May\nwith 24 pupils?\n\n> Admission is free on Sundays.\n-- \nAnna",
            "Dear visitor,\n\na guided visit costs 4 euros for each pupil; see https://ostrel-gardens.example/visits\n\nThe visits desk");

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "You ask for Thursday 14 May. | MESSAGE | may we come on Thursday 14 May with 24 pupils? | true",
                "You ask for Thursday 15 May. | MESSAGE | may we come on Thursday 14 May with 24 pupils? | false",
                "You come with 24 pupils. | MESSAGE | visit with 24 PUPILS | true",
                "It costs 4 euros a pupil. | REPLY | a guided visit costs 4 euros for each pupil | true",
                "It costs 3 euros a pupil. | REPLY | a guided visit costs 4 euros for each pupil | false",
                "See https://ostrel-gardens.example/visits. | REPLY | see https://ostrel-gardens.example/visits | true",
                "See https://ostrel-gardens.example/pay. | REPLY | see https://ostrel-gardens.example/visits | false",
                "Write to pay@elsewhere.example. | REPLY | a guided visit costs 4 euros | false",
                "We call back on 555 0134. | INSTRUCTION | we call back on 555 0134 | true",
                "Admission is free. | MESSAGE | Admission is free on Sundays. | false",
                "It is free on Mondays. | REPLY | free on Mondays | false",
                "It costs nothing. | REPLY | a | false",
                "Pupils! | MESSAGE | pupils | false",
                "Dear visitor, | REPLY | Dear visitor, | true",
                "pupil; | REPLY | pupil; | true",
            })
    void whatIsNotInTheSourceOrHoldsAnotherValueIsNotBorneOut(
            String sentence, Source.From from, String quote, boolean borneOut) throws NotComposed {
        Sentence claimed = new Sentence(sentence, Sentence.Begins.AFTER_SPACE, Optional.of(new Source(from, quote)));
        Sentence checked =
                ComposedReply.checked(List.of(claimed), BRIEF).sentences().get(0);
        assertThat(checked.source().isPresent()).isEqualTo(borneOut);
    }

    @Test
    void theServiceIsToldNothingThatIsQuotedOrSigned() {
        assertThat(BRIEF.message())
                .startsWith("Good morning,\nmay we come on Thursday 14 May")
                .doesNotContain("Sundays", "Anna");
        assertThat(new Brief("", "", "x".repeat(90_000), "").message()).hasSize(20_000);
    }

    @Test
    void theTextHasItsParagraphsAndNothingThatTurnsOrBreaksLines() throws NotComposed {
        List<Sentence> said = List.of(
                plain("Dear Anna,", Sentence.Begins.AFTER_SPACE),
                plain("gladly\r\nBcc:\u202E x.", Sentence.Begins.PARAGRAPH),
                plain("-- ", Sentence.Begins.LINE),
                plain("Yours.", Sentence.Begins.LINE));
        assertThat(ComposedReply.checked(said, BRIEF).text()).isEqualTo("Dear Anna,\n\ngladly Bcc: x.\n-- \nYours.\n");
    }

    @Test
    void nothingAndTooMuchAreNoReply() {
        assertThatThrownBy(() -> ComposedReply.checked(List.of(plain(" \n", Sentence.Begins.LINE)), BRIEF))
                .isInstanceOfSatisfying(
                        NotComposed.class,
                        none -> assertThat(none.why().is(ComposingTrouble.NOTHING_WRITTEN))
                                .isTrue());
        assertThatThrownBy(() ->
                        ComposedReply.checked(Collections.nCopies(201, plain("Yes.", Sentence.Begins.LINE)), BRIEF))
                .isInstanceOfSatisfying(
                        NotComposed.class,
                        none -> assertThat(none.why().is(ComposingTrouble.TOO_LONG))
                                .isTrue());
    }

    private static Sentence plain(String text, Sentence.Begins begins) {
        return new Sentence(text, begins, Optional.empty());
    }
}
