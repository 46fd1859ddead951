package app.jubek.server.content;

import java.util.UUID;

interface DocumentContentRepository extends ContentPartRepository<DocumentContentPart, DocumentContentPart.Key, UUID> {}
