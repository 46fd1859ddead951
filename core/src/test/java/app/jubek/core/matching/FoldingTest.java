package app.jubek.core.matching;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.ibm.icu.text.Normalizer2;
import java.util.ArrayList;
import java.util.List;
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
        assertThatThrownBy(() -> Value.phrase(" \u00ad ")).hasMessageContaining("nothing in it to look for");
    }

    @Test
    void aMarkWidensToTheWholeCharactersOfTheDisplayedText() {
        assertThat(places("Zur  ﬁnalen Führung", "inal")).containsExactly(new Span(5, 9));
        assertThat(places("Zur  ﬁnalen Führung", "zur fin")).containsExactly(new Span(0, 7));
    }

    private static List<Span> places(String text, String phrase) {
        List<Span> places = new ArrayList<>();
        Value.phrase(phrase).in(new ComparedText().load(text, Comparison.FOLDED), places::add);
        return places;
    }

    /** Against icu4j's own NFKC_Casefold, character by character, alone and between others. */
    @Test
    void everyCharacterFoldsAsIcuFoldsItAndItsPlaceIsItsOwn() {
        Normalizer2 icu = Normalizer2.getNFKCCasefoldInstance();
        int changedLength = 0;
        for (int c = 1; c <= Character.MAX_CODE_POINT; c++) {
            if (c >= Character.MIN_SURROGATE && c <= Character.MAX_SURROGATE) {
                continue;
            }
            String text = "Ab" + Character.toString(c) + "Cd";
            String expected = icu.normalize(text).replaceAll("[\\s\\p{Z}\\x1C-\\x1F]+", " ");
            ComparedText compared = new ComparedText().load(text, Comparison.FOLDED);
            if (!compared.toString().equals(expected)) {
                assertThat(compared.toString()).as("U+%04X", c).isEqualTo(expected);
            }
            int size = Character.charCount(c);
            int folded = compared.length() - 4;
            if (folded > 0 && compared.units()[1] == 'b') {
                changedLength += folded == size ? 0 : 1;
                Span span = compared.span(2, 2 + folded);
                int from = icu.hasBoundaryBefore(c) ? 2 : 1;
                if (span.start() != from || span.end() != 2 + size) {
                    assertThat(span).as("U+%04X", c).isEqualTo(new Span(from, 2 + size));
                }
            }
        }
        assertThat(changedLength).isGreaterThan(1_000);
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
            if (!folded.isBlank()) {
                assertThat(places(text, folded)).isNotEmpty().allMatch(span -> span.end() <= text.length());
            }
        }
    }
}
