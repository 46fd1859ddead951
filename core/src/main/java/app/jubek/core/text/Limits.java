package app.jubek.core.text;

/**
 * How much of a message is read and looked through, and how large a rule book may be. Reaching a limit of a message cuts
 * the reading or the looking and is noted; a book that goes beyond one is refused.
 *
 * @param depth levels of nested parts
 * @param parts parts in all
 * @param addresses addresses in one field
 * @param textChars searched text, UTF-16 units, of each part
 * @param headerOctets octets of one header field
 * @param fields header fields of one part
 * @param rules rules of one book, its tail included
 * @param values values of all criteria of one book
 * @param patternInstructions RE2 instructions of one pattern
 * @param patternChars units of a text that a pattern sees
 * @param places places marked in one message
 */
public record Limits(
        int depth,
        int parts,
        int addresses,
        int textChars,
        int headerOctets,
        int fields,
        int rules,
        int values,
        int patternInstructions,
        int patternChars,
        int places) {
    private static final int MIB = 1 << 20;
    private static final Limits STANDARD =
            new Limits(50, 1_000, 10_000, MIB, 4 * MIB, 10_000, 2_000, 50_000, 256, 1 << 16, 20_000);

    /** 50 levels, 1,000 parts, 10,000 addresses, 1 MiB of text; 2,000 rules with 50,000 values. */
    public static Limits standard() {
        return STANDARD;
    }
}
