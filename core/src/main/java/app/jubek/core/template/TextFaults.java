package app.jubek.core.template;

import app.jubek.core.wording.Statement;
import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** What still stands in a text as a place for something: "[date]", "{name}", "todo" (common practice). */
public final class TextFaults {
    private static final Pattern PLACES =
            Pattern.compile("(?i)\\{+[^{}\\n]{1,60}\\}+|\\[[^\\[\\]\\n]{1,60}\\]|<<[^>\\n]{1,60}>>");
    private static final Pattern SAMPLES = Pattern.compile("(?i)lorem ipsum|\\bxxx+\\b|\\btodo\\b|\\btbd\\b|\\?\\?\\?");
    private static final Pattern FIELDS = Pattern.compile("\\{\\{[^{}\\n]*\\}\\}");

    private TextFaults() {}

    /** Of the words that one step of a rule has of its own; where one of them is no template, none is filled. */
    public static List<Statement> in(List<String> words) {
        String all = String.join("\n", words);
        Optional<Template> own = Template.own("", all);
        Stream<Statement> empty = own.stream()
                .flatMap(filled -> filled.fields().stream())
                .filter(Field::canBeMissing)
                .map(TemplateFaultText.OWN_FIELD_MAY_BE_EMPTY::with);
        Set<String> places = own.isPresent() ? besidesFields(all) : found(all);
        return Stream.concat(empty, places.stream().map(TemplateFaultText.SAMPLE_TEXT::with))
                .toList();
    }

    /** Of a template's words, in which fields are filled. */
    static Set<String> besidesFields(String words) {
        return found(FIELDS.matcher(words).replaceAll(""));
    }

    private static Set<String> found(String words) {
        Set<String> found = new LinkedHashSet<>();
        Stream.of(PLACES, SAMPLES).forEach(pattern -> {
            Matcher matcher = pattern.matcher(words);
            while (matcher.find()) {
                found.add(matcher.group());
            }
        });
        return found;
    }
}
