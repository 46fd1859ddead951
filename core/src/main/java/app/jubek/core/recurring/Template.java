package app.jubek.core.recurring;

import app.jubek.core.text.Folding;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Pattern;

/** A subject taken apart into words, with what varies by nature already a slot. */
final class Template {
    static final String SLOT = "\u0000";

    private static final Pattern WHITE = Pattern.compile("\\s+");
    private static final Pattern NUMBER = Pattern.compile(".*\\p{Nd}.*");
    private static final Pattern EDGES = Pattern.compile("^[\\p{P}\\p{S}]+|[\\p{P}\\p{S}]+$");
    /** Names of days and months in the languages of the usual mail (common practice), folded, as they begin. */
    private static final Set<String> CALENDAR = Set.of(
            "monday",
            "tuesday",
            "wednesday",
            "thursday",
            "friday",
            "saturday",
            "sunday",
            "mon",
            "tue",
            "wed",
            "thu",
            "fri",
            "sat",
            "sun",
            "january",
            "february",
            "march",
            "april",
            "june",
            "july",
            "august",
            "september",
            "october",
            "november",
            "december",
            "jan",
            "feb",
            "mar",
            "apr",
            "jun",
            "jul",
            "aug",
            "sep",
            "sept",
            "oct",
            "nov",
            "dec",
            "montag",
            "dienstag",
            "mittwoch",
            "donnerstag",
            "freitag",
            "samstag",
            "sonntag",
            "januar",
            "februar",
            "märz",
            "juni",
            "juli",
            "oktober",
            "dezember",
            "lundi",
            "mardi",
            "mercredi",
            "jeudi",
            "vendredi",
            "samedi",
            "dimanche",
            "janvier",
            "février",
            "avril",
            "juin",
            "juillet",
            "août",
            "septembre",
            "octobre",
            "novembre",
            "décembre");

    private final List<String> words;
    private final List<String> keys;

    private Template(List<String> words, List<String> keys) {
        this.words = words;
        this.keys = keys;
    }

    static Template of(String subject) {
        List<String> words = new ArrayList<>();
        List<String> keys = new ArrayList<>();
        for (String word : WHITE.split(subject.strip())) {
            String bare = EDGES.matcher(word).replaceAll("");
            String key = Folding.fold(bare.isEmpty() ? word : bare);
            boolean varies = NUMBER.matcher(word).matches() || CALENDAR.contains(key) || word.contains("@");
            words.add(word);
            keys.add(varies ? SLOT : key.toLowerCase(Locale.ROOT));
        }
        return new Template(words, keys);
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
