package app.jubek.core.wording;

import static org.assertj.core.api.Assertions.assertThat;

import com.ibm.icu.util.ULocale;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class WordingTest {
    private static List<String> ids() {
        return new ClassFileImporter()
                        .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
                        .importPackages("app.jubek.core")
                        .stream()
                        .filter(type -> type.isEnum() && type.isAssignableTo(Code.class))
                        .map(JavaClass::reflect)
                        .filter(type -> type.getEnumConstants() != null)
                        .flatMap(type -> Stream.of(type.getEnumConstants()))
                        .map(constant -> ((Code) constant).id())
                        .toList();
    }

    @Test
    void everyCodeHasOneIdAndWordsAndNoWordsAreLeftOver() {
        assertThat(ids()).doesNotHaveDuplicates().hasSizeGreaterThan(200);
        assertThat(Wording.english().codes()).containsExactlyInAnyOrderElementsOf(ids());
    }

    @Test
    void placesAreFilledWithTextsNumbersListsAndOtherStatements() {
        Wording dutch = new Wording(
                new ULocale("nl"),
                Map.of("QUOTED", "«{0}»", "PLAIN", "{0, plural, one{# bericht} other{# berichten}} van {1}"));
        Statement two = Phrase.PLAIN.with(2, Argument.and(List.of(Phrase.quoted("Ada"), "Bo", "Cy")));
        assertThat(dutch.of(two)).isEqualTo("2 berichten van «Ada», Bo en Cy");
        assertThat(dutch.of(Phrase.NOT)).isEqualTo("NOT");
    }

    /** What somebody wrote stands in a statement as it is, whatever signs are in it. */
    @Test
    void anArgumentIsNeverTakenForAPlace() {
        assertThat(Wording.english().of(Phrase.quoted("{1} '' {0, plural}"))).isEqualTo("“{1} '' {0, plural}”");
    }
}
