package app.jubek.core.template;

import com.samskivert.mustache.Mustache;
import com.samskivert.mustache.MustacheException;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * A prepared answer: plain text in Mustache syntax, of which only fields are used.
 *
 * @param language of its dates
 * @param subject empty for the subject an answer has by itself
 * @param fallbacks what stands in, by key, where a message has no value for a field
 */
public record Template(
        TemplateId id,
        int version,
        String name,
        Locale language,
        String subject,
        String text,
        Map<String, String> fallbacks) {
    private static final int LONGEST = 100_000;
    private static final Mustache.Compiler PLAIN =
            Mustache.compiler().escapeHTML(false).defaultValue("");

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
        if (text.length() > LONGEST) {
            throw new IllegalArgumentException("a template has at most " + LONGEST + " characters");
        }
        if (!subject.equals(subject.lines().findFirst().orElse(""))) {
            throw new IllegalArgumentException("a subject is one line");
        }
        fallbacks = Map.copyOf(fallbacks);
        fieldsOf("subject", subject);
        fieldsOf("text", text);
    }

    /** A template filled from one message. */
    public record Filled(String subject, String text) {}

    public Filled fill(Filling from) {
        Map<String, Object> values = new HashMap<>();
        fields().forEach(field ->
                put(values, field, from.value(field, language).orElse(fallbacks.getOrDefault(field.key(), ""))));
        return new Filled(
                PLAIN.compile(subject).execute(values).strip(),
                PLAIN.compile(text).execute(values));
    }

    /** Mustache looks up {@code a.b} as {@code b} of {@code a}. */
    @SuppressWarnings("unchecked")
    private static void put(Map<String, Object> values, Field field, String value) {
        int dot = field.key().indexOf('.');
        if (dot < 0) {
            values.put(field.key(), value);
            return;
        }
        Object group = values.computeIfAbsent(field.key().substring(0, dot), key -> new HashMap<String, Object>());
        ((Map<String, Object>) group).put(field.key().substring(dot + 1), value);
    }

    /** The fields it uses, in their order. */
    public Set<Field> fields() {
        Set<Field> used = new LinkedHashSet<>(fieldsOf("subject", subject));
        used.addAll(fieldsOf("text", text));
        return used;
    }

    /**
     * What is worth a look before it goes out.
     *
     * @param today before which dates have passed
     */
    public List<TemplateFault> faults(LocalDate today) {
        return new TemplateChecks(this, today).faults();
    }

    private static Set<Field> fieldsOf(String where, String text) {
        try {
            FieldNames names = new FieldNames(where);
            PLAIN.compile(text).visit(names);
            return names.found();
        } catch (MustacheException broken) {
            throw new IllegalArgumentException(
                    "the braces in the " + where + " don't close: " + broken.getMessage(), broken);
        }
    }

    Optional<String> fallback(Field field) {
        return Optional.ofNullable(fallbacks.get(field.key())).filter(f -> !f.isBlank());
    }
}
