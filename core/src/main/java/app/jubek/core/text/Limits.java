package app.jubek.core.text;

/**
 * How much of a message is read and looked through, and how large a rule book may be. Reaching a limit of a message cuts
 * the reading or the looking and is noted; a book that goes beyond one is refused.
 *
 * @param depth levels of nested parts
 * @param parts parts in all
 * @param addresses addresses in one field
 * @param textChars searched text, UTF-16 units, of each part
 * @param header bytes of a whole header; the rest of it is not read
 * @param field bytes of one header field; the rest of it is not read
 * @param fields header fields of one part
 * @param parameters parameters of one field (RFC 2231)
 * @param encodedWords encoded words decoded in one field (RFC 2047); others stay as written
 * @param rules rules of one book, its tail included
 * @param values values of all criteria of one book
 * @param valueChars units of one value
 * @param patternInstructions RE2 instructions of one pattern
 * @param patternChars units of a text that a pattern sees
 * @param places places marked in one message
 */
public record Limits(
        int depth,
        int parts,
        int addresses,
        int textChars,
        int header,
        int field,
        int fields,
        int parameters,
        int encodedWords,
        int rules,
        int values,
        int valueChars,
        int patternInstructions,
        int patternChars,
        int places) {
    private static final int KIB = 1 << 10;
    private static final int MIB = 1 << 20;
    private static final Limits STANDARD = new Limits(
            50, 1_000, 10_000, MIB, 256 * KIB, 64 * KIB, 10_000, 200, 5_000, 2_000, 50_000, 1_000, 256, 64 * KIB,
            20_000);

    /**
     * 50 levels, 1,000 parts, 10,000 addresses, 1 MiB of text; 256 KiB of header, 64 KiB of one field; 2,000 rules with
     * 50,000 values.
     */
    public static Limits standard() {
        return STANDARD;
    }
}
