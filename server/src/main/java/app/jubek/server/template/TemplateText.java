package app.jubek.server.template;

import app.jubek.core.template.DocumentId;
import app.jubek.core.template.Signature;
import app.jubek.core.template.Template;
import app.jubek.core.template.TemplateId;
import app.jubek.server.http.AsWritten;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import tools.jackson.databind.annotation.JsonSerialize;

/**
 * A template as a person writes it.
 *
 * @param language a BCP 47 tag
 * @param rich the same as rich text; empty where plain text is enough
 * @param picture the id of a document, shown under the signature
 * @param documents ids of those that go along
 * @param fallbacks by the key of a field
 * @param lookAgainOn when they want to be reminded of it
 */
public record TemplateText(
        String name,
        String language,
        @JsonSerialize(using = AsWritten.class) String subject,
        @JsonSerialize(using = AsWritten.class) String text,
        @JsonSerialize(using = AsWritten.class) String rich,
        @JsonSerialize(using = AsWritten.class) String signature,
        Optional<String> picture,
        List<String> documents,
        @JsonSerialize(contentUsing = AsWritten.class) Map<String, String> fallbacks,
        Optional<LocalDate> lookAgainOn) {

    static TemplateText of(Saved saved) {
        Template template = saved.template();
        return new TemplateText(
                template.name(),
                template.language().toLanguageTag(),
                template.subject(),
                template.text(),
                template.rich(),
                template.signature().text(),
                template.signature().picture().map(DocumentId::value),
                template.documents().stream().map(DocumentId::value).toList(),
                template.fallbacks(),
                saved.lookAgainOn());
    }

    /**
     * @throws IllegalArgumentException where it can't be used as it is; it says why
     */
    public Template template(TemplateId id, int version) {
        return new Template(
                id,
                version,
                name,
                Locale.forLanguageTag(language),
                subject,
                text,
                rich,
                new Signature(signature, picture.map(DocumentId::new)),
                documents.stream().map(DocumentId::new).toList(),
                fallbacks);
    }
}
