package app.jubek.core.outgoing;

import app.jubek.core.template.DocumentId;

/** Where the bytes of documents are to be had. */
@FunctionalInterface
public interface DocumentContents {
    /**
     * @throws IllegalArgumentException when there is no such document
     */
    byte[] of(DocumentId document);

    /** For where no answer has any. */
    static DocumentContents none() {
        return document -> {
            throw new IllegalArgumentException("there is no document " + document.value());
        };
    }
}
