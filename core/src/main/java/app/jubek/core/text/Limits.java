package app.jubek.core.text;

/**
 * How much of a message is read. Reaching a limit cuts the reading and is noted on the message.
 *
 * @param depth levels of nested parts
 * @param parts parts in all
 * @param addresses addresses in one field
 * @param textChars searched text, UTF-16 units, of each part
 * @param headerOctets octets of one header field
 * @param fields header fields of one part
 */
public record Limits(int depth, int parts, int addresses, int textChars, int headerOctets, int fields) {
    private static final int MIB = 1 << 20;

    public Limits {
        if (Math.min(Math.min(depth, parts), Math.min(addresses, textChars)) < 1 || headerOctets < 1 || fields < 1) {
            throw new IllegalArgumentException("every limit is at least 1");
        }
    }

    /** 50 levels, 1,000 parts, 10,000 addresses, 1 MiB of text. */
    public static Limits standard() {
        return new Limits(50, 1_000, 10_000, MIB, 4 * MIB, 10_000);
    }
}
