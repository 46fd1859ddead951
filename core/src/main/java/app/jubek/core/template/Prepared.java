package app.jubek.core.template;

import java.util.Map;
import java.util.Optional;

/**
 * What a mailbox has prepared for its answers, at one moment.
 *
 * @param documents what is known of each, without its bytes
 */
public record Prepared(Map<TemplateId, Template> templates, Map<DocumentId, Document> documents) {
    public Prepared {
        templates = Map.copyOf(templates);
        documents = Map.copyOf(documents);
    }

    public static Prepared nothing() {
        return new Prepared(Map.of(), Map.of());
    }

    public Optional<Template> template(TemplateId id) {
        return Optional.ofNullable(templates.get(id));
    }

    public Optional<Document> document(DocumentId id) {
        return Optional.ofNullable(documents.get(id));
    }
}
