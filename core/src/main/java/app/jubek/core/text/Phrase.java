package app.jubek.core.text;

/** Words looked for. Two phrases that fold alike are equal. */
public final class Phrase {
    private final String written;
    private final String folded;

    private Phrase(String written, String folded) {
        this.written = written;
        this.folded = folded;
    }

    /**
     * @throws IllegalArgumentException when nothing is left of the phrase after folding
     */
    public static Phrase of(String written) {
        String folded = Folding.fold(written).strip();
        if (folded.isEmpty()) {
            throw new IllegalArgumentException(
                    "the phrase \"" + written + "\" has nothing in it to look for: give at least one letter or sign");
        }
        return new Phrase(written.strip(), folded);
    }

    public String written() {
        return written;
    }

    public String folded() {
        return folded;
    }

    /** Whether a text, already folded, contains this phrase. */
    public boolean in(String foldedText) {
        return foldedText.contains(folded);
    }

    /** Whether every text that contains {@code longer} contains this phrase too. */
    public boolean covers(Phrase longer) {
        return longer.folded.contains(folded);
    }

    int next(String foldedText, int from) {
        return foldedText.indexOf(folded, from);
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Phrase phrase && phrase.folded.equals(folded);
    }

    @Override
    public int hashCode() {
        return folded.hashCode();
    }

    @Override
    public String toString() {
        return written;
    }
}
