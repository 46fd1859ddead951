package app.jubek.server.template;

import app.jubek.core.template.Document;
import app.jubek.core.template.DocumentId;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

@Entity
@Table(name = "document")
class DocumentEntity {
    @Id
    private UUID id;

    private UUID mailboxId;
    private String fileName;
    private String mediaType;
    private long size;
    private LocalDate added;
    private @Nullable LocalDate lookAgainOn;
    private Instant savedAt;
    private String savedBy;

    protected DocumentEntity() {}

    DocumentEntity(UUID id, UUID mailboxId) {
        this.id = id;
        this.mailboxId = mailboxId;
    }

    boolean isOf(UUID mailbox) {
        return mailboxId.equals(mailbox);
    }

    void describe(Documents.Kept kept) {
        Document document = kept.document();
        fileName = document.fileName();
        mediaType = document.mediaType();
        size = document.size();
        added = document.added();
        lookAgainOn = document.lookAgainOn().orElse(null);
        savedAt = kept.at();
        savedBy = kept.by();
    }

    Documents.Kept kept() {
        return new Documents.Kept(
                new Document(
                        new DocumentId(id.toString()),
                        fileName,
                        mediaType,
                        size,
                        added,
                        Optional.ofNullable(lookAgainOn)),
                savedAt,
                savedBy);
    }
}
