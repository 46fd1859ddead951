package app.jubek.server.mailbox;

import java.time.Instant;

/** A message as it came from a folder, not yet read. */
public record Fetched(Place place, Instant received, byte[] octets) {

    /** Where a message lies (RFC 9051 §2.3.1.1). */
    public record Place(String folder, long uidValidity, long uid) {}
}
