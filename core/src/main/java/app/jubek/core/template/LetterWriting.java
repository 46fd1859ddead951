package app.jubek.core.template;

import com.samskivert.mustache.Escapers;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;

/** Fills a template from one message. */
final class LetterWriting {
    private final Template template;
    private final Prepared prepared;
    private final Map<String, Object> values = new HashMap<>();

    LetterWriting(Template template, Filling from, Prepared prepared) {
        this.template = template;
        this.prepared = prepared;
        template.fields().forEach(field -> put(field.key(), from.value(field, template.language())));
        template.captured().forEach(key -> put(Template.CAPTURED + key, from.captured(key)));
    }

    /** Mustache looks up {@code a.b} as {@code b} of {@code a}. */
    @SuppressWarnings("unchecked")
    private void put(String key, Optional<String> value) {
        String shown = value.orElse(template.fallbacks().getOrDefault(key, ""));
        int dot = key.indexOf('.');
        if (dot < 0) {
            values.put(key, shown);
            return;
        }
        Object group = values.computeIfAbsent(key.substring(0, dot), k -> new HashMap<String, Object>());
        ((Map<String, Object>) group).put(key.substring(dot + 1), shown);
    }

    Letter letter() {
        String signed = filled(template.signature().text());
        return new Letter(
                filled(template.subject()).strip(),
                filled(template.text()) + (signed.isBlank() ? "" : "\n\n-- \n" + signed),
                html(signed),
                template.signature().picture().flatMap(prepared::document),
                template.documents().stream()
                        .flatMap(d -> prepared.document(d).stream())
                        .toList());
    }

    private String filled(String words) {
        return Braces.COMPILER.compile(words).execute(values);
    }

    /** A picture needs a rich form to stand in, even where nobody wrote one. */
    private String html(String signed) {
        boolean pictured = template.signature().picture().isPresent();
        boolean plain = RichText.isBlank(template.rich());
        if (plain && !pictured) {
            return "";
        }
        String body = plain
                ? RichText.of(filled(template.text()))
                : Braces.COMPILER.compile(template.rich()).execute(escaped(values));
        String picture = pictured ? "<p><img src=\"" + Letter.PICTURE + "\" alt=\"\"></p>" : "";
        return body + (signed.isBlank() ? "" : RichText.of(signed)) + picture;
    }

    static Map<String, Object> escaped(Map<?, ?> values) {
        Map<String, Object> escaped = new HashMap<>();
        values.forEach((key, value) -> escaped.put(
                String.valueOf(key),
                value instanceof Map<?, ?> group ? escaped(group) : Escapers.HTML.escape(String.valueOf(value))));
        return escaped;
    }
}
