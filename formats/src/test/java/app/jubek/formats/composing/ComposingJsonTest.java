package app.jubek.formats.composing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.jubek.core.composing.Brief;
import app.jubek.core.composing.ComposingTrouble;
import app.jubek.core.composing.NotComposed;
import app.jubek.core.composing.Sentence;
import app.jubek.core.composing.Source;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What goes to a composing service and comes back, as documented; whatever else comes back counts for nothing. */
class ComposingJsonTest {
    @Test
    void aBriefHoldsTheInstructionTheMessageAndTheReplyAlone() {
        assertThat(ComposingJson.written(Brief.of("Name the day.", "Visit", "On Monday?", "Dear visitor,")))
                .isEqualTo("{\"version\":1,\"instruction\":\"Name the day.\","
                        + "\"message\":{\"subject\":\"Visit\",\"text\":\"On Monday?\"},\"reply\":\"Dear visitor,\"}");
    }

    @Test
    void sentencesAreReadWithWhatTheyNameAndNothingElse() throws NotComposed {
        List<Sentence> read = ComposingJson.read("""
                {"to":"x@elsewhere.example","approved":true,"documents":["/etc/passwd"],"sentences":[
                 {"text":"On Monday.","begins":"paragraph","from":"message","quote":"On Monday?","approved":true},
                 {"text":"Gladly.","from":"heart","begins":"nowhere"}, "rubbish"]}""");
        assertThat(read)
                .containsExactly(
                        new Sentence(
                                "On Monday.",
                                Sentence.Begins.PARAGRAPH,
                                Optional.of(new Source(Source.From.MESSAGE, "On Monday?"))),
                        new Sentence("Gladly.", Sentence.Begins.AFTER_SPACE, Optional.empty()),
                        new Sentence("", Sentence.Begins.AFTER_SPACE, Optional.empty()));
        assertThat(ComposingJson.sentences(ComposingJson.written(read))).isEqualTo(read);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{\"declined\":\"no medical advice\"} | DECLINED",
                "<html>sign in first</html> | NOT_UNDERSTOOD",
                "{\"sentences\":\"Gladly.\"} | NOT_UNDERSTOOD",
                "[] | NOT_UNDERSTOOD",
                "'' | NOT_UNDERSTOOD",
            })
    void whatIsNoAnswerIsNamed(String answer, ComposingTrouble trouble) {
        assertThatThrownBy(() -> ComposingJson.read(answer))
                .isInstanceOfSatisfying(
                        NotComposed.class,
                        none -> assertThat(none.why().is(trouble)).isTrue());
    }
}
