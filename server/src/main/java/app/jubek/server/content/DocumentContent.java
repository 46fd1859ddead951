package app.jubek.server.content;

import java.util.UUID;
import org.springframework.stereotype.Component;

/** The bytes of documents. */
@Component
public class DocumentContent extends ContentParts<UUID> {
    DocumentContent(DocumentContentRepository repository) {
        super(repository);
    }
}
