package app.jubek.core.text;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FoldingTest {
    /** Unicode 15, CaseFolding.txt: statuses C and F; NormalizationTest facts for the compatibility forms. */
    @ParameterizedTest
    @CsvSource({
        "Führung, führung",
        "STRASSE, strasse",
        "straße, strasse",
        "ΣΊΣΥΦΟΣ, σίσυφοσ",
        "ﬁn, fin",
        "Ａ, a",
        "Ⅷ, viii"
    })
    void letterCaseAndCompatibilityFormsDoNotMatter(String written, String folded) {
        assertThat(Folding.fold(written)).isEqualTo(folded);
    }

    @Test
    void runsOfWhiteSpaceAreOneSpaceAndAccentsStay() {
        assertThat(Folding.fold("guided \t\r\n visit\u00a0for")).isEqualTo("guided visit for");
        assertThat(Folding.fold("café")).isNotEqualTo("cafe");
    }

    @Test
    void composedAndDecomposedLettersAreTheSame() {
        assertThat(Folding.fold("u\u0308ber")).isEqualTo(Folding.fold("\u00fcber"));
    }

    @Test
    void aPhraseThatFoldsToNothingIsRefusedWithTheWayOut() {
        assertThatThrownBy(() -> Phrase.of(" \u00ad ")).hasMessageContaining("nothing in it to look for");
    }

    @Test
    void aMarkWidensToTheWholeCharactersOfTheDisplayedText() {
        FoldedText text = FoldedText.of("Zur  ﬁnalen Führung");
        assertThat(text.find(Phrase.of("inal"))).containsExactly(new Span(5, 9));
        assertThat(text.find(Phrase.of("zur fin"))).containsExactly(new Span(0, 7));
    }

    @Test
    void foldingTwiceChangesNothingMoreAndMarksStayInside() {
        Random random = new Random(7);
        for (int round = 0; round < 2_000; round++) {
            String text = random.ints(1 + random.nextInt(30), 1, 0x3000)
                    .collect(StringBuilder::new, StringBuilder::appendCodePoint, StringBuilder::append)
                    .toString();
            String folded = Folding.fold(text);
            assertThat(Folding.fold(folded)).as("fold of %s", text).isEqualTo(folded);
            assertThat(FoldedText.of(text).folded()).isEqualTo(folded);
            if (!folded.isBlank()) {
                assertThat(FoldedText.of(text).find(Phrase.of(folded))).allMatch(span -> span.end() <= text.length());
            }
        }
    }
}
