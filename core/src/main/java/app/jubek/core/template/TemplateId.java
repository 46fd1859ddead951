package app.jubek.core.template;

/** Names a template of a mailbox. */
public record TemplateId(String value) {
    public TemplateId {
        if (value.isBlank()) {
            throw new IllegalArgumentException("a template needs an id");
        }
    }
}
