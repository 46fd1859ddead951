package app.jubek.server.mailbox;

import app.jubek.core.message.ByteSource;
import java.time.Instant;

/**
 * A message as it came from a folder, not yet read.
 *
 * @param bytes of the whole message, or of its header alone when it is too large
 * @param size as the server states it
 */
public record Fetched(Place place, Instant received, ByteSource bytes, long size, boolean whole) {

    /** Where a message lies (RFC 9051 §2.3.1.1). */
    public record Place(String folder, long uidValidity, long uid) {
        /** Its name is the only one that has a fixed meaning (RFC 9051 §5.1). */
        public boolean isInbox() {
            return folder.equalsIgnoreCase("INBOX");
        }
    }
}
