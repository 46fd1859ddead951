package app.jubek.core.template;

import app.jubek.core.template.TemplateFault.Sort;
import app.jubek.core.text.Words;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeFormatterBuilder;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** Looks a template over for what goes wrong a hundred times once it goes out (common practice). */
final class TemplateChecks {
    private static final Pattern DATES =
            Pattern.compile("\\b\\d{4}-\\d{2}-\\d{2}\\b|\\b\\d{1,2}\\.? ?[\\p{L}.\\d]{1,10}[ .]{1,2}\\d{4}\\b");
    private static final Pattern LINKS = Pattern.compile("\\b(?:https?:|www\\.)[^\\s<>\"]*");
    private static final Pattern WHOLE_LINK =
            Pattern.compile("(?:https?://)?[\\p{L}\\d-]+(?:\\.[\\p{L}\\d-]+)+(?::\\d+)?(?:[/?#].*)?");
    private static final Pattern SAMPLES = Pattern.compile(
            "(?i)lorem ipsum|\\bxxx+\\b|\\btodo\\b|\\btbd\\b|\\[(?:name|date|datum|nom|your[^\\]]*)]|<<[^>]*>>|\\?\\?\\?");
    private static final Pattern WORD = Pattern.compile("\\p{L}[\\p{L}-]{3,}\\p{L}");

    private final Template template;
    private final LocalDate today;
    private final String all;
    private final List<TemplateFault> faults = new ArrayList<>();

    TemplateChecks(Template template, LocalDate today) {
        this.template = template;
        this.today = today;
        this.all = template.subject() + "\n" + template.text();
    }

    List<TemplateFault> faults() {
        template.fields().stream()
                .filter(field ->
                        field.canBeMissing() && template.fallback(field).isEmpty())
                .forEach(field -> note(
                        Sort.MISSING_FALLBACK,
                        "Where " + field.words() + " is not known, nothing stands in for {{" + field.key()
                                + "}}: give it a fallback."));
        found(DATES).forEach(this::pastDate);
        found(LINKS)
                .filter(link -> !isWhole(link))
                .forEach(link ->
                        note(Sort.BROKEN_LINK, "The link " + Words.quoted(link) + " leads nowhere: write it out."));
        found(SAMPLES)
                .forEach(sample ->
                        note(Sort.SAMPLE_TEXT, Words.quoted(sample) + " looks like text that was to be replaced."));
        speltTwoWays();
        return faults;
    }

    private Stream<String> found(Pattern pattern) {
        return pattern.matcher(all).results().map(MatchResult::group).distinct();
    }

    private void note(Sort sort, String words) {
        faults.add(new TemplateFault(sort, words));
    }

    private void pastDate(String written) {
        date(written)
                .filter(date -> date.isBefore(today))
                .ifPresent(date -> note(Sort.DATE_PAST, "The date " + Words.quoted(written) + " has passed."));
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
        return WHOLE_LINK.matcher(link.replaceAll("[.,;:!?)]+$", "")).matches();
    }

    /** A longer word with and without a hyphen or a doubled letter: one of the two is a slip. */
    private void speltTwoWays() {
        Map<String, String> seen = new HashMap<>();
        WORD.matcher(all).results().map(MatchResult::group).forEach(word -> {
            String lower = word.toLowerCase(Locale.ROOT);
            String key = lower.replace("-", "").replaceAll("(\\p{L})\\1", "$1");
            String before = seen.putIfAbsent(key, lower);
            if (before != null && !before.equals(lower)) {
                note(Sort.SPELT_TWO_WAYS, "It says both " + Words.quoted(before) + " and " + Words.quoted(lower) + ".");
                seen.put(key, lower);
            }
        });
    }
}
