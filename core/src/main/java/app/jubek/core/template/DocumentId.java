package app.jubek.core.template;

/** Names a document of a mailbox. */
public record DocumentId(String value) {
    public DocumentId {
        if (value.isBlank()) {
            throw new IllegalArgumentException("a document needs an id");
        }
    }
}
