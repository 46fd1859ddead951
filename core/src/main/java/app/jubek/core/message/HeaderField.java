package app.jubek.core.message;

/**
 * One header field (RFC 5322 §2.2).
 *
 * @param name as written
 * @param raw unfolded, not decoded
 * @param value unfolded and decoded (RFC 2047)
 */
public record HeaderField(String name, String raw, String value) {
    public boolean is(String other) {
        return name.equalsIgnoreCase(other);
    }
}
