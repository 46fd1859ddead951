package app.jubek.core.recurring;

import app.jubek.core.matching.Folding;
import app.jubek.core.text.Pieces;
import app.jubek.core.text.WhiteSpace;
import app.jubek.core.text.WordList;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;

/** A subject taken apart into words, with what varies by nature already a slot. */
final class SubjectPattern {
    static final String SLOT = "\u0000";

    /** Names of days and months in the languages of the usual mail (common practice), folded, as they begin. */
    private static final Set<String> CALENDAR = WordList.of("calendar");

    private final List<String> words;
    private final List<String> keys;

    private SubjectPattern(List<String> words, List<String> keys) {
        this.words = words;
        this.keys = keys;
    }

    static SubjectPattern of(String subject) {
        List<String> words = new ArrayList<>();
        List<String> keys = new ArrayList<>();
        for (String word : words(subject)) {
            String bare =
                    Pieces.withoutEnd(Pieces.withoutBeginning(word, SubjectPattern::isSign), SubjectPattern::isSign);
            String key = Folding.fold(bare.isEmpty() ? word : bare);
            boolean varies =
                    word.codePoints().anyMatch(Character::isDigit) || CALENDAR.contains(key) || word.contains("@");
            words.add(word);
            keys.add(varies ? SLOT : key.toLowerCase(Locale.ROOT));
        }
        return new SubjectPattern(words, keys);
    }

    private static List<String> words(String subject) {
        List<String> words = WhiteSpace.words(subject);
        return words.isEmpty() ? List.of("") : words;
    }

    /** Punctuation and symbols. */
    private static boolean isSign(int character) {
        return switch (Character.getType(character)) {
            case Character.CONNECTOR_PUNCTUATION,
                    Character.DASH_PUNCTUATION,
                    Character.START_PUNCTUATION,
                    Character.END_PUNCTUATION,
                    Character.INITIAL_QUOTE_PUNCTUATION,
                    Character.FINAL_QUOTE_PUNCTUATION,
                    Character.OTHER_PUNCTUATION,
                    Character.MATH_SYMBOL,
                    Character.CURRENCY_SYMBOL,
                    Character.MODIFIER_SYMBOL,
                    Character.OTHER_SYMBOL -> true;
            default -> false;
        };
    }

    /** Words as written. */
    List<String> words() {
        return words;
    }

    /** Words as they are compared, with {@link #SLOT} for what varies by nature. */
    List<String> keys() {
        return keys;
    }
}
