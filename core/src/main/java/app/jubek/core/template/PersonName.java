package app.jubek.core.template;

import app.jubek.core.address.MailAddress;
import app.jubek.core.text.Pieces;
import app.jubek.core.text.WhiteSpace;
import app.jubek.core.text.WordList;
import com.google.re2j.Pattern;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;

/**
 * A person's first and last name, as far as a displayed name tells them for certain (common practice). Machines, desks,
 * companies, couples and names whose order can't be told are no persons here, so that nobody is greeted wrongly.
 */
record PersonName(String first, String last) {
    private static final Pattern BRACKETS = Pattern.compile("\\([^)]*\\)|\\[[^\\]]*]");
    private static final Pattern AFTERWARDS = Pattern.compile("\\s+(?i:via|c/o|on behalf of|im auftrag von)\\s.*$");
    private static final Pattern BESIDE = Pattern.compile("\\s+[-–—|/·@]\\s+.*$");
    private static final Pattern WORD = Pattern.compile("\\p{Latin}[\\p{Latin}\\p{M}'’-]*\\p{Latin}");
    private static final Pattern INITIAL = Pattern.compile("(\\p{Latin}\\.?-?){1,3}");
    private static final Pattern ORGANISATION =
            Pattern.compile(".*(?:schule|gymnasium|museum|verein|skolan?|garten|verlag|amt|haus|werke?)");
    private static final Set<String> DESKS = WordList.of("desks");
    private static final Pattern QUOTES = Pattern.compile("[\"“”„]|^['‘]|['’]$");
    private static final int MOST_WORDS = 4;

    /** No name of a person is longer (common practice). */
    private static final int LONGEST = 200;

    private static final Set<String> TITLES = WordList.of("titles");
    private static final Set<String> SUFFIXES = WordList.of("name-suffixes");
    private static final Set<String> PARTICLES = WordList.of("name-particles");
    private static final Set<String> TOGETHER = WordList.of("joining-words");

    /** Words of desks, machines and companies. */
    private static final Set<String> NO_PERSON = WordList.of("no-person");

    /** Empty where it can't be told for certain. */
    static Optional<PersonName> of(MailAddress sender) {
        if (sender.name().length() > LONGEST) {
            return Optional.empty();
        }
        String withoutMore = BESIDE.matcher(AFTERWARDS
                        .matcher(BRACKETS.matcher(sender.name()).replaceAll(" "))
                        .replaceAll(""))
                .replaceAll("");
        String shown = QUOTES.matcher(withoutMore).replaceAll(" ").strip();
        if (shown.indexOf('@') >= 0 || isOrganisation(shown, sender)) {
            return Optional.empty();
        }
        List<String> aroundComma = Pieces.between(Pieces.withoutEnd(shown, c -> c == ',' || c == ' '), ',');
        if (aroundComma.size() == 2 && !SUFFIXES.contains(key(aroundComma.get(1).strip()))) {
            return inOrder(words(aroundComma.get(1)), words(aroundComma.get(0)));
        }
        return aroundComma.size() <= 2 ? named(words(aroundComma.get(0))) : Optional.empty();
    }

    private static boolean isOrganisation(String shown, MailAddress sender) {
        String domain = sender.domain();
        int top = domain.lastIndexOf('.');
        String owner = domain.substring(domain.lastIndexOf('.', Math.max(top - 1, 0)) + 1, Math.max(top, 0));
        String joined = Pieces.replaced(shown.toLowerCase(Locale.ROOT), c -> !Character.isLetterOrDigit(c), "");
        boolean isDomain = !joined.isEmpty() && joined.equals(owner.replace("-", ""));
        return isDomain
                || DESKS.contains(sender.local())
                || Pieces.runs(shown, c -> !WhiteSpace.is(c) && c != ',' && c != '.').stream()
                        .map(PersonName::key)
                        .anyMatch(word -> NO_PERSON.contains(word) || ORGANISATION.matches(word));
    }

    /** Without titles before and suffixes behind. */
    private static List<String> words(String text) {
        List<String> words = new ArrayList<>(WhiteSpace.words(text));
        if (words.isEmpty()) {
            return List.of("");
        }
        while (words.size() > 1 && TITLES.contains(key(words.get(0)))) {
            words.remove(0);
        }
        while (words.size() > 1 && SUFFIXES.contains(key(words.get(words.size() - 1)))) {
            words.remove(words.size() - 1);
        }
        return words;
    }

    private static String key(String word) {
        return Pieces.withoutEnd(word.toLowerCase(Locale.ROOT), c -> ".,;:".indexOf(c) >= 0)
                .replace(".", "");
    }

    /** "Mara Lindqvist", "mara van der lindqvist", "LINDQVIST Mara"; not "M. Lindqvist", "Mara", "Mara and Tom L.". */
    private static Optional<PersonName> named(List<String> words) {
        if (words.size() < 2 || words.size() > MOST_WORDS + 1) {
            return Optional.empty();
        }
        boolean lastWritesLoud = isLoud(words.get(0)) && !isLoud(words.get(words.size() - 1));
        if (lastWritesLoud) {
            int firstQuiet = 0;
            while (isLoud(words.get(firstQuiet))) {
                firstQuiet++;
            }
            return inOrder(words.subList(firstQuiet, words.size()), words.subList(0, firstQuiet));
        }
        int last = 1;
        while (last < words.size() - 1 && !PARTICLES.contains(key(words.get(last)))) {
            last++;
        }
        return inOrder(words.subList(0, last), words.subList(last, words.size()));
    }

    private static Optional<PersonName> inOrder(List<String> given, List<String> family) {
        boolean tooMany = given.size() > MOST_WORDS - 1 || family.size() > MOST_WORDS;
        boolean isParticle = PARTICLES.contains(key(given.get(0)));
        boolean sound = WORD.matches(given.get(0))
                && given.stream().skip(1).allMatch(PersonName::isPartOfName)
                && family.stream().allMatch(PersonName::isPartOfName)
                && WORD.matches(family.get(family.size() - 1));
        return tooMany || isParticle || !sound
                ? Optional.empty()
                : Optional.of(new PersonName(
                        cased(given.get(0)),
                        String.join(
                                " ",
                                family.stream().map(PersonName::casedFamily).toList())));
    }

    private static boolean isPartOfName(String word) {
        return !TOGETHER.contains(key(word)) && (WORD.matches(word) || INITIAL.matches(word));
    }

    private static boolean isLoud(String word) {
        return word.length() > 1 && word.equals(word.toUpperCase(Locale.ROOT)) && WORD.matches(word);
    }

    private static String casedFamily(String word) {
        return PARTICLES.contains(key(word)) && !isLoud(word) ? word : cased(word);
    }

    /** "MARA" and "mara" as "Mara"; "McLean" as it is. */
    private static String cased(String word) {
        boolean oneCase = word.equals(word.toUpperCase(Locale.ROOT)) || word.equals(word.toLowerCase(Locale.ROOT));
        if (!oneCase) {
            return word;
        }
        StringBuilder cased = new StringBuilder(word.toLowerCase(Locale.ROOT));
        for (int at = 0; at < cased.length(); at++) {
            if (at == 0 || cased.charAt(at - 1) == '-') {
                cased.setCharAt(at, Character.toUpperCase(cased.charAt(at)));
            }
        }
        return cased.toString();
    }
}
