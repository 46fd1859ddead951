package app.jubek.core.template;

import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * A prepared answer in Mustache syntax, of which only fields are used.
 *
 * @param language of its dates
 * @param subject empty for the subject an answer has by itself
 * @param rich the same as rich text; empty where plain text is enough
 * @param documents that go along, in their order
 * @param fallbacks what stands in, by key, where a message has no value for a field
 */
public record Template(
        TemplateId id,
        int version,
        String name,
        Locale language,
        String subject,
        String text,
        String rich,
        Signature signature,
        List<DocumentId> documents,
        Map<String, String> fallbacks) {
    /** Before keys of what a pattern of the rule takes out of the message. */
    public static final String CAPTURED = "captured.";

    private static final int LONGEST = 100_000;

    /**
     * @throws IllegalArgumentException where it has no name or text, or braces that name no field; it says which
     */
    public Template {
        if (name.isBlank()) {
            throw new IllegalArgumentException("a template needs a name");
        }
        if (text.isBlank()) {
            throw new IllegalArgumentException("a template needs a text");
        }
        if (text.length() + rich.length() > LONGEST) {
            throw new IllegalArgumentException("a template has at most " + LONGEST + " characters");
        }
        if (!subject.equals(subject.lines().findFirst().orElse(""))) {
            throw new IllegalArgumentException("a subject is one line");
        }
        rich = RichText.cleaned(rich);
        if (Braces.followedBy(rich, "{&")) {
            throw new IllegalArgumentException("in rich text a field stands between two braces, as {{subject}}");
        }
        if (Stream.of(subject, text, rich, signature.text()).anyMatch(words -> Braces.followedBy(words, "="))) {
            throw new IllegalArgumentException("fields stand between braces, and {{= sets no other signs for them");
        }
        documents = documents.stream().distinct().toList();
        fallbacks = Map.copyOf(fallbacks);
        Braces.names(subject, text, rich, signature);
    }

    /** Plain text alone. */
    public static Template plain(
            TemplateId id,
            int version,
            String name,
            Locale language,
            String subject,
            String text,
            Map<String, String> fallbacks) {
        return new Template(id, version, name, language, subject, text, "", Signature.none(), List.of(), fallbacks);
    }

    /**
     * Words that are written in a rule itself: fields in them are filled as in a template, but have no fallbacks. Empty
     * where there are no fields, or what stands in braces is none: then the words go out as they are.
     */
    public static Optional<Template> own(String subject, String text) {
        return (subject + text).contains("{{") ? written(subject, text) : Optional.empty();
    }

    /** The same of any words; empty where what stands in braces is no field. */
    public static Optional<Template> written(String subject, String text) {
        try {
            return Optional.of(plain(new TemplateId("own"), 1, "own", Locale.UK, subject, text, Map.of()));
        } catch (IllegalArgumentException noField) {
            return Optional.empty();
        }
    }

    /** The same as another version. */
    public Template as(int next) {
        return new Template(id, next, name, language, subject, text, rich, signature, documents, fallbacks);
    }

    /** Every document it needs, its picture among them. */
    public List<DocumentId> needs() {
        return Stream.concat(documents.stream(), signature.picture().stream())
                .distinct()
                .toList();
    }

    /**
     * @param prepared documents as they are now; one that is gone is left out
     */
    public Letter fill(Filling from, Prepared prepared) {
        return new LetterWriting(this, from, prepared).letter();
    }

    /** The fields it uses, in their order. */
    public Set<Field> fields() {
        return Braces.names(subject, text, rich, signature).fields();
    }

    /** Names of the groups of the rule's patterns that it uses. */
    public Set<String> captured() {
        return Braces.names(subject, text, rich, signature).captured();
    }

    /**
     * What is worth a look before it goes out.
     *
     * @param today before which dates have passed
     */
    public List<TemplateFault> faults(LocalDate today, Prepared prepared) {
        return new TemplateChecks(this, today, prepared).faults();
    }

    /** Days that are written in it, as they stand there. */
    public Map<String, LocalDate> dates() {
        return new TemplateChecks(this, LocalDate.MIN, Prepared.nothing()).dates();
    }

    Optional<String> fallback(String key) {
        return Optional.ofNullable(fallbacks.get(key)).filter(f -> !f.isBlank());
    }
}
