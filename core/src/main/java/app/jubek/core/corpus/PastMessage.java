package app.jubek.core.corpus;

import app.jubek.core.criteria.PastText;
import java.time.Instant;

/** One message of the evidence, as the corpus keeps it. */
public record PastMessage(long id, Instant received, String senderShown, String subject, PastText folded) {}
