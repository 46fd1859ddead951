package app.jubek.core.text;

/** Controls, line ends and marks that turn the direction of writing: nothing of a message may bring them in. */
public final class Unsafe {
    private Unsafe() {}

    /** With a space for each run of them, and none around it. */
    public static String removed(String text) {
        return Pieces.replaced(text, Unsafe::is, " ").strip();
    }

    /** Whether a character is one of them. */
    public static boolean is(int character) {
        return Character.isISOControl(character)
                || character == 0x2028
                || character == 0x2029
                || character == 0x200E
                || character == 0x200F
                || character == 0x061C
                || turnsDirection(character);
    }

    /** Embeddings, overrides and isolates (Unicode Standard Annex #9 §2). */
    static boolean turnsDirection(int character) {
        return character >= 0x202A && character <= 0x202E || character >= 0x2066 && character <= 0x2069;
    }
}
