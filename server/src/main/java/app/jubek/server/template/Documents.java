package app.jubek.server.template;

import app.jubek.core.message.ByteSource;
import app.jubek.core.outgoing.DocumentContents;
import app.jubek.core.template.Document;
import app.jubek.core.template.DocumentId;
import app.jubek.server.content.DocumentContent;
import app.jubek.server.platform.Refused;
import app.jubek.server.platform.WrittenId;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The documents of each mailbox: files kept once, and replaced in one place. */
@Service
public class Documents {
    private final DocumentRepository described;
    private final DocumentContent bytes;

    Documents(DocumentRepository described, DocumentContent bytes) {
        this.described = described;
        this.bytes = bytes;
    }

    /** A document, and who put it in when. */
    public record Kept(Document document, Instant at, String by) {}

    /** As answers take them along. */
    @Transactional(readOnly = true)
    public Map<DocumentId, Document> of(UUID mailbox) {
        return all(mailbox).stream().map(Kept::document).collect(Collectors.toMap(Document::id, Function.identity()));
    }

    @Transactional(readOnly = true)
    List<Kept> all(UUID mailbox) {
        return described.byFileName(mailbox).stream().map(DocumentEntity::kept).toList();
    }

    /** Where a composer finds what is in them. */
    @Transactional(readOnly = true)
    public DocumentContents bytes(UUID mailbox) {
        return id -> bytes(mailbox, id).all();
    }

    /**
     * @throws Refused as not found, when the mailbox has no such document
     */
    @Transactional(readOnly = true)
    public ByteSource bytes(UUID mailbox, DocumentId id) {
        find(mailbox, id).orElseThrow(Refused::notFound);
        return bytes.of(UUID.fromString(id.value()));
    }

    Optional<Kept> find(UUID mailbox, DocumentId id) {
        return WrittenId.uuid(id.value())
                .flatMap(key -> described.findByIdAndMailboxId(key, mailbox))
                .map(DocumentEntity::kept);
    }

    /** Puts it in, or in the place of the one with its id. */
    @Transactional
    public void save(UUID mailbox, Kept kept, byte[] content) {
        UUID id = UUID.fromString(kept.document().id().value());
        describe(mailbox, kept);
        bytes.replace(id, ByteSource.of(content));
    }

    /** Without touching what is in it. */
    @Transactional
    void describe(UUID mailbox, Kept kept) {
        UUID id = UUID.fromString(kept.document().id().value());
        DocumentEntity document = described.findById(id).orElseGet(() -> new DocumentEntity(id, mailbox));
        if (!document.isOf(mailbox)) {
            throw Refused.notFound();
        }
        document.describe(kept);
        described.saveAndFlush(document);
    }

    @Transactional
    void remove(UUID mailbox, DocumentId id) {
        WrittenId.uuid(id.value()).ifPresent(key -> described.deleteByIdAndMailboxId(key, mailbox));
    }
}
