package app.jubek.core.message;

import java.util.Set;

/**
 * A part of a message that a program wrote for programs: what became of a delivery (RFC 3464), or the header of the message
 * that it was about (RFC 6522 §3).
 *
 * @param mediaType in lower case
 * @param text its beginning
 */
public record ReportPart(String mediaType, String text) {
    /** Of parts that are read for it. */
    public static final Set<String> MEDIA_TYPES = Set.of(
            "message/delivery-status",
            "message/global-delivery-status",
            "message/rfc822",
            "message/global",
            "message/global-headers",
            "text/rfc822-headers");

    /** Whether it says what became of a delivery. */
    public boolean isStatus() {
        return mediaType.equals("message/delivery-status") || mediaType.equals("message/global-delivery-status");
    }
}
