package app.jubek.server.content;

import java.util.UUID;

interface TrialContentRepository extends ContentPartRepository<TrialContentPart, TrialContentPart.Key, UUID> {}
