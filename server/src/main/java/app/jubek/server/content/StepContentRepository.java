package app.jubek.server.content;

import java.util.UUID;

interface StepContentRepository extends ContentPartRepository<StepContentPart, StepContentPart.Key, UUID> {}
