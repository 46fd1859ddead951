package app.jubek.core.reading;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Locale;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Article 1 of the Universal Declaration of Human Rights, as the United Nations publish it. */
class WrittenInTest {
    private static final List<Locale> KNOWN = List.of(
            Locale.UK, Locale.GERMANY, Locale.FRANCE, Locale.forLanguageTag("sv-SE"), Locale.forLanguageTag("es"));

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "en-GB | All human beings are born free and equal in dignity and rights.",
                "de-DE | Alle Menschen sind frei und gleich an Würde und Rechten geboren.",
                "fr-FR | Tous les êtres humains naissent libres et égaux en dignité et en droits.",
                "sv-SE | Alla människor är födda fria och lika i värde och rättigheter.",
                "es | Todos los seres humanos nacen libres e iguales en dignidad y derechos."
            })
    void aSentenceTellsItsLanguage(String expected, String written) {
        assertThat(WrittenIn.of(written, KNOWN)).isEqualTo(Locale.forLanguageTag(expected));
    }

    @ParameterizedTest
    @CsvSource({"''", "ok", "1234 5678", "Thanks!"})
    void whatIsTooShortToTellIsTakenForTheFirst(String written) {
        assertThat(WrittenIn.of(written, KNOWN)).isEqualTo(Locale.UK);
    }
}
