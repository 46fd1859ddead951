package app.jubek.server.template;

import app.jubek.core.template.Document;
import app.jubek.core.template.DocumentId;
import app.jubek.core.text.Pieces;
import app.jubek.server.account.Allowed;
import app.jubek.server.account.SignedIn;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.platform.Refused;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PatchMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Files that answers take along. */
@RestController
class DocumentController {
    private final Documents documents;
    private final Templates templates;
    private final Mailboxes mailboxes;
    private final Clock clock;

    DocumentController(Documents documents, Templates templates, Mailboxes mailboxes, Clock clock) {
        this.documents = documents;
        this.templates = templates;
        this.mailboxes = mailboxes;
        this.clock = clock;
    }

    /**
     * @param added the day it was last put in
     * @param usedBy names of the templates that take it along
     */
    record DocumentView(
            String id,
            String fileName,
            String mediaType,
            long size,
            boolean picture,
            LocalDate added,
            Optional<LocalDate> lookAgainOn,
            String savedBy,
            List<String> usedBy) {}

    @GetMapping("/api/mailboxes/{mailbox}/documents")
    List<DocumentView> documents(@Allowed UUID mailbox) {
        List<Saved> all = templates.current(mailbox);
        return documents.all(mailbox).stream().map(kept -> view(kept, all)).toList();
    }

    /** Puts a file in, or in the place of the one with this id: every template that has it then sends the new one. */
    @PutMapping(value = "/api/mailboxes/{mailbox}/documents/{document}", consumes = MediaType.ALL_VALUE)
    DocumentView save(
            @AuthenticationPrincipal SignedIn who,
            @Allowed UUID mailbox,
            @PathVariable String document,
            @RequestParam(defaultValue = "") String fileName,
            @RequestHeader(value = HttpHeaders.CONTENT_TYPE, defaultValue = MediaType.APPLICATION_OCTET_STREAM_VALUE)
                    String mediaType,
            InputStream body) {
        DocumentId id = id(document);
        byte[] bytes = read(body);
        Document next = new Document(
                id,
                fileName,
                Pieces.before(mediaType, ';').strip(),
                bytes.length,
                today(mailbox),
                documents.find(mailbox, id).flatMap(kept -> kept.document().lookAgainOn()));
        documents.save(mailbox, new Documents.Kept(next, clock.instant(), who.shownName()), bytes);
        return view(documents.find(mailbox, id).orElseThrow(), templates.current(mailbox));
    }

    record DocumentChange(String fileName, Optional<LocalDate> lookAgainOn) {}

    @PatchMapping("/api/mailboxes/{mailbox}/documents/{document}")
    DocumentView change(@Allowed UUID mailbox, @PathVariable String document, @RequestBody DocumentChange change) {
        Documents.Kept was = documents.find(mailbox, id(document)).orElseThrow(Refused::notFound);
        Document old = was.document();
        String name = Optional.ofNullable(change.fileName()).orElse(old.fileName());
        Document next = new Document(old.id(), name, old.mediaType(), old.size(), old.added(), change.lookAgainOn());
        Documents.Kept kept = new Documents.Kept(next, was.at(), was.by());
        documents.describe(mailbox, kept);
        return view(kept, templates.current(mailbox));
    }

    @GetMapping("/api/mailboxes/{mailbox}/documents/{document}/bytes")
    ResponseEntity<byte[]> bytes(@Allowed UUID mailbox, @PathVariable String document) {
        Document found = documents
                .find(mailbox, id(document))
                .orElseThrow(Refused::notFound)
                .document();
        ContentDisposition disposition = (found.isPicture()
                        ? ContentDisposition.inline()
                        : ContentDisposition.attachment())
                .filename(found.fileName(), java.nio.charset.StandardCharsets.UTF_8)
                .build();
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, disposition.toString())
                .contentType(
                        MediaType.parseMediaType(found.isPicture() ? found.mediaType() : "application/octet-stream"))
                .body(documents.bytes(mailbox, found.id()).all());
    }

    /** Refused while a template takes it along. */
    @DeleteMapping("/api/mailboxes/{mailbox}/documents/{document}")
    void remove(@Allowed UUID mailbox, @PathVariable String document) {
        DocumentId id = id(document);
        List<String> users = usedBy(id, templates.current(mailbox));
        if (!users.isEmpty()) {
            throw Refused.conflict(
                    "It goes along with " + String.join(", ", users) + ": take it out there first.", Map.of());
        }
        documents.remove(mailbox, id);
    }

    private static DocumentView view(Documents.Kept kept, List<Saved> all) {
        Document document = kept.document();
        return new DocumentView(
                document.id().value(),
                document.fileName(),
                document.mediaType(),
                document.size(),
                document.isPicture(),
                document.added(),
                document.lookAgainOn(),
                kept.by(),
                usedBy(document.id(), all));
    }

    private static List<String> usedBy(DocumentId id, List<Saved> all) {
        return all.stream()
                .map(Saved::template)
                .filter(template -> template.needs().contains(id))
                .map(template -> template.name())
                .toList();
    }

    private static DocumentId id(String written) {
        try {
            return new DocumentId(UUID.fromString(written).toString());
        } catch (IllegalArgumentException notOne) {
            throw Refused.notFound();
        }
    }

    /** One byte more than is allowed is enough to know. */
    private static byte[] read(InputStream body) {
        try {
            return body.readNBytes((int) Document.MOST + 1);
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        }
    }

    private LocalDate today(UUID mailbox) {
        return LocalDate.ofInstant(clock.instant(), mailboxes.find(mailbox).zone());
    }
}
