package app.jubek.core.template;

import com.samskivert.mustache.Escapers;
import com.samskivert.mustache.Mustache;
import com.samskivert.mustache.MustacheException;
import java.time.LocalDate;
import java.util.HashMap;
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
    /** Escapes nothing: values that go into rich text are escaped before, so that no sort of field lets one through. */
    static final Mustache.Compiler COMPILER =
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
        if (text.length() + rich.length() > LONGEST) {
            throw new IllegalArgumentException("a template has at most " + LONGEST + " characters");
        }
        if (!subject.equals(subject.lines().findFirst().orElse(""))) {
            throw new IllegalArgumentException("a subject is one line");
        }
        rich = RichText.cleaned(rich);
        if (hasBraceAnd(rich, "{&")) {
            throw new IllegalArgumentException("in rich text a field stands between two braces, as {{subject}}");
        }
        if (Stream.of(subject, text, rich, signature.text()).anyMatch(words -> hasBraceAnd(words, "="))) {
            throw new IllegalArgumentException("fields stand between braces, and {{= sets no other signs for them");
        }
        documents = documents.stream().distinct().toList();
        fallbacks = Map.copyOf(fallbacks);
        names(subject, text, rich, signature);
    }

    /** Whether one of some signs follows two braces: what Mustache would leave unescaped, or take for other braces. */
    private static boolean hasBraceAnd(String words, String signs) {
        for (int at = words.indexOf("{{"); at >= 0; at = words.indexOf("{{", at + 1)) {
            int sign = at + 2;
            while (sign < words.length() && Character.isWhitespace(words.charAt(sign))) {
                sign++;
            }
            if (sign < words.length() && signs.indexOf(words.charAt(sign)) >= 0) {
                return true;
            }
        }
        return false;
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
        Map<String, Object> values = new HashMap<>();
        FieldNames names = names(subject, text, rich, signature);
        names.fields().forEach(field -> put(values, field.key(), from.value(field, language)));
        names.captured().forEach(key -> put(values, CAPTURED + key, from.captured(key)));
        String signed = COMPILER.compile(signature.text()).execute(values);
        return new Letter(
                COMPILER.compile(subject).execute(values).strip(),
                COMPILER.compile(text).execute(values) + (signed.isBlank() ? "" : "\n\n-- \n" + signed),
                html(values, signed),
                signature.picture().flatMap(prepared::document),
                documents.stream().flatMap(d -> prepared.document(d).stream()).toList());
    }

    /** A picture needs a rich form to stand in, even where nobody wrote one. */
    private String html(Map<String, Object> values, String signed) {
        if (RichText.isBlank(rich) && signature.picture().isEmpty()) {
            return "";
        }
        String body = RichText.isBlank(rich)
                ? RichText.of(COMPILER.compile(text).execute(values))
                : COMPILER.compile(rich).execute(escaped(values));
        String picture = signature.picture().isEmpty() ? "" : "<p><img src=\"" + Letter.PICTURE + "\" alt=\"\"></p>";
        return body + (signed.isBlank() ? "" : RichText.of(signed)) + picture;
    }

    static Map<String, Object> escaped(Map<?, ?> values) {
        Map<String, Object> escaped = new HashMap<>();
        values.forEach((key, value) -> escaped.put(
                String.valueOf(key),
                value instanceof Map<?, ?> group ? escaped(group) : Escapers.HTML.escape(String.valueOf(value))));
        return escaped;
    }

    /** Mustache looks up {@code a.b} as {@code b} of {@code a}. */
    @SuppressWarnings("unchecked")
    private void put(Map<String, Object> values, String key, Optional<String> value) {
        String shown = value.orElse(fallbacks.getOrDefault(key, ""));
        int dot = key.indexOf('.');
        if (dot < 0) {
            values.put(key, shown);
            return;
        }
        Object group = values.computeIfAbsent(key.substring(0, dot), k -> new HashMap<String, Object>());
        ((Map<String, Object>) group).put(key.substring(dot + 1), shown);
    }

    /** The fields it uses, in their order. */
    public Set<Field> fields() {
        return names(subject, text, rich, signature).fields();
    }

    /** Names of the groups of the rule's patterns that it uses. */
    public Set<String> captured() {
        return names(subject, text, rich, signature).captured();
    }

    /**
     * What is worth a look before it goes out.
     *
     * @param today before which dates have passed
     */
    public List<TemplateFault> faults(LocalDate today, Prepared prepared) {
        return new TemplateChecks(this, today, prepared).faults();
    }

    private static FieldNames names(String subject, String text, String rich, Signature signature) {
        FieldNames names = new FieldNames();
        visit(names, "subject", subject);
        visit(names, "text", text);
        visit(names, "rich text", rich);
        visit(names, "signature", signature.text());
        return names;
    }

    private static void visit(FieldNames names, String where, String text) {
        try {
            COMPILER.compile(text).visit(names.in(where));
        } catch (MustacheException broken) {
            throw new IllegalArgumentException(
                    "the braces in the " + where + " don't close: " + broken.getMessage(), broken);
        }
    }

    Optional<String> fallback(String key) {
        return Optional.ofNullable(fallbacks.get(key)).filter(f -> !f.isBlank());
    }
}
