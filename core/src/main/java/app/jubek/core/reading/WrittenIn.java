package app.jubek.core.reading;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import opennlp.tools.langdetect.Language;
import opennlp.tools.langdetect.LanguageDetectorME;
import opennlp.tools.langdetect.LanguageDetectorModel;

/** The language that a text is written in, by the sequences of letters in it. */
public final class WrittenIn {
    /** As many characters tell a language; more cost time. */
    private static final int LOOKED_AT = 2_000;

    /** So much likelier than the next one it has to be. */
    private static final double CLEARLY = 1.5;

    private WrittenIn() {}

    /** Read when it is first asked for: ten megabytes. Many threads share it; a detector is of one alone. */
    private static final class Model {
        private static final LanguageDetectorModel READ = load();

        private static LanguageDetectorModel load() {
            try (InputStream in = Objects.requireNonNull(
                    WrittenIn.class.getResourceAsStream("/langdetect-183.bin"), "the model of languages is missing")) {
                return new LanguageDetectorModel(in);
            } catch (IOException unreadable) {
                throw new UncheckedIOException(unreadable);
            }
        }
    }

    /**
     * @param among at least one; of variants of one language the first
     * @return the first one where the text is too short to tell, or is in none of them
     */
    public static Locale of(String text, List<Locale> among) {
        Map<String, Double> likely = Stream.of(new LanguageDetectorME(Model.READ)
                        .predictLanguages(text.substring(0, Math.min(LOOKED_AT, text.length()))))
                .collect(Collectors.toMap(Language::getLang, Language::getConfidence, Math::max));
        Function<Locale, Double> chance = locale -> likely.getOrDefault(locale.getISO3Language(), 0.0);
        Locale best = among.get(0);
        for (Locale each : among) {
            best = chance.apply(each) > chance.apply(best) * CLEARLY ? each : best;
        }
        return best;
    }
}
