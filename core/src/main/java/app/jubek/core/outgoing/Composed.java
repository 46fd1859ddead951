package app.jubek.core.outgoing;

import app.jubek.core.safety.Outgoing;

/**
 * A message ready to leave.
 *
 * @param messageId its (Resent-)Message-ID, with angle brackets; the same whenever the same step is composed
 * @param bytes all of it, or for a redirect the block that goes in front of the original
 */
public record Composed(Outgoing outgoing, String messageId, byte[] bytes) {}
