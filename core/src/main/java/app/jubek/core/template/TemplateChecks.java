package app.jubek.core.template;

import app.jubek.core.reading.Markup;
import app.jubek.core.template.TemplateFault.Sort;
import app.jubek.core.text.Pieces;
import app.jubek.core.wording.Argument;
import app.jubek.core.wording.Phrase;
import app.jubek.core.wording.Statement;
import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeFormatterBuilder;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Looks a template over for what goes wrong a hundred times once it goes out (common practice). */
final class TemplateChecks {
    private static final Pattern DATES =
            Pattern.compile("\\b\\d{4}-\\d{2}-\\d{2}\\b|\\b\\d{1,2}\\.? ?[\\p{L}.\\d]{1,10}[ .]{1,2}\\d{4}\\b");
    private static final Pattern LINKS = Pattern.compile("\\b(?:https?:|www\\.)[^\\s<>\"]*");
    private static final Pattern WHOLE_LINK =
            Pattern.compile("(?:https?://)?[\\p{L}\\d-]+(?:\\.[\\p{L}\\d-]+)+(?::\\d+)?(?:[/?#].*)?");
    private static final int MOST_NAMED = 4;
    private static final Pattern WORD = Pattern.compile("\\p{L}[\\p{L}-]{3,}\\p{L}");

    private final Template template;
    private final LocalDate today;
    private final Prepared prepared;
    private final String all;
    private final List<TemplateFault> faults = new ArrayList<>();

    TemplateChecks(Template template, LocalDate today, Prepared prepared) {
        this.template = template;
        this.today = today;
        this.prepared = prepared;
        this.all = String.join(
                "\n",
                template.subject(),
                template.text(),
                richText(),
                template.signature().text());
    }

    List<TemplateFault> faults() {
        if (template.subject().isBlank()) {
            note(Sort.EMPTY_SUBJECT, TemplateFaultText.NO_SUBJECT.with());
        }
        template.fields().stream()
                .filter(Field::canBeMissing)
                .forEach(field -> withoutFallback(field.key(), TemplateFaultText.FIELD_WITHOUT_FALLBACK.with(field)));
        template.captured()
                .forEach(name -> withoutFallback(
                        Template.CAPTURED + name, TemplateFaultText.CAPTURED_WITHOUT_FALLBACK.with(name)));
        found(DATES).forEach(this::pastDate);
        found(LINKS)
                .filter(link -> !isWhole(link))
                .forEach(link -> note(Sort.BROKEN_LINK, TemplateFaultText.BROKEN_LINK.with(link)));
        TextFaults.besidesFields(all)
                .forEach(sample -> note(Sort.SAMPLE_TEXT, TemplateFaultText.SAMPLE_TEXT.with(sample)));
        speltTwoWays();
        driftedApart();
        documents();
        return faults;
    }

    private String richText() {
        return Markup.parsed(template.rich()).body().text();
    }

    private void withoutFallback(String key, Statement what) {
        if (template.fallback(key).isEmpty()) {
            note(Sort.MISSING_FALLBACK, what);
        }
    }

    /** Who reads the plain form is to learn the same as who reads the rich one. */
    private void driftedApart() {
        if (RichText.isBlank(template.rich())) {
            return;
        }
        Set<String> plain = wordsOf(template.text());
        Set<String> rich = wordsOf(richText());
        Set<String> links = wordsOf(String.join(
                " ", Markup.parsed(template.rich()).select("a[href]").eachAttr("href")));
        List<Statement> only = Stream.concat(
                        plain.stream().filter(word -> !rich.contains(word) && !links.contains(word)),
                        rich.stream().filter(word -> !plain.contains(word)))
                .limit(MOST_NAMED)
                .map(Phrase::quoted)
                .toList();
        if (!only.isEmpty()) {
            note(Sort.DRIFTED_APART, TemplateFaultText.FORMS_DIFFER.with(Argument.commas(only)));
        }
    }

    private static Set<String> wordsOf(String text) {
        return Pieces.runs(text.toLowerCase(Locale.ROOT), c -> Character.isLetterOrDigit(c) || "{}.".indexOf(c) >= 0)
                .stream()
                .map(word -> Pieces.withoutEnd(Pieces.withoutBeginning(word, c -> c == '.'), c -> c == '.'))
                .filter(word -> !word.isEmpty())
                .collect(Collectors.toCollection(LinkedHashSet::new));
    }

    private void documents() {
        for (DocumentId id : template.needs()) {
            if (prepared.document(id).isEmpty()) {
                note(Sort.DOCUMENT_GONE, TemplateFaultText.DOCUMENT_GONE.with());
            }
        }
        List<Document> all = template.needs().stream()
                .flatMap(id -> prepared.document(id).stream())
                .toList();
        all.stream()
                .filter(d -> d.lookAgainOn().filter(on -> !on.isAfter(today)).isPresent())
                .forEach(d -> note(Sort.DOCUMENT_OLD, TemplateFaultText.DOCUMENT_TO_CHECK.with(d.fileName())));
        long bytes = all.stream().mapToLong(Document::size).sum();
        if (bytes > Document.MOST) {
            note(
                    Sort.TOO_LARGE,
                    TemplateFaultText.DOCUMENTS_TOO_LARGE.with(
                            Document.inWords(bytes), Document.inWords(Document.MOST)));
        }
    }

    private Stream<String> found(Pattern pattern) {
        Set<String> found = new LinkedHashSet<>();
        Matcher matcher = pattern.matcher(all);
        while (matcher.find()) {
            found.add(matcher.group());
        }
        return found.stream();
    }

    private void note(Sort sort, Statement what) {
        faults.add(new TemplateFault(sort, what));
    }

    Map<String, LocalDate> dates() {
        Map<String, LocalDate> dates = new LinkedHashMap<>();
        found(DATES).forEach(written -> date(written).ifPresent(day -> dates.put(written, day)));
        return dates;
    }

    private void pastDate(String written) {
        date(written)
                .filter(date -> date.isBefore(today))
                .ifPresent(date -> note(Sort.DATE_PAST, TemplateFaultText.DATE_PAST.with(written)));
    }

    private Optional<LocalDate> date(String written) {
        List<DateTimeFormatter> ways = List.of(
                DateTimeFormatter.ISO_LOCAL_DATE,
                DateTimeFormatter.ofPattern("d.M.uuuu"),
                spelt("d[.] MMMM uuuu"),
                spelt("d[.] MMM uuuu"));
        for (DateTimeFormatter way : ways) {
            try {
                return Optional.of(LocalDate.parse(written, way));
            } catch (DateTimeParseException notThisWay) {
                // The next way may fit.
            }
        }
        return Optional.empty();
    }

    private DateTimeFormatter spelt(String pattern) {
        return new DateTimeFormatterBuilder()
                .parseCaseInsensitive()
                .appendPattern(pattern)
                .toFormatter(template.language());
    }

    private static boolean isWhole(String link) {
        return WHOLE_LINK.matches(Pieces.withoutEnd(link, c -> ".,;:!?)".indexOf(c) >= 0));
    }

    private static String withoutDoubles(String word) {
        StringBuilder single = new StringBuilder();
        for (int at = 0; at < word.length(); at++) {
            boolean doubled = at + 1 < word.length() && word.charAt(at) == word.charAt(at + 1);
            single.append(word.charAt(at));
            at += doubled && Character.isLetter(word.charAt(at)) ? 1 : 0;
        }
        return single.toString();
    }

    /** A longer word with and without a hyphen or a doubled letter: one of the two is a slip. */
    private void speltTwoWays() {
        Map<String, String> seen = new HashMap<>();
        found(WORD).forEach(word -> {
            String lower = word.toLowerCase(Locale.ROOT);
            String key = withoutDoubles(lower.replace("-", ""));
            String before = seen.putIfAbsent(key, lower);
            if (before != null && !before.equals(lower)) {
                note(Sort.SPELT_TWO_WAYS, TemplateFaultText.SPELT_TWO_WAYS.with(before, lower));
                seen.put(key, lower);
            }
        });
    }
}
